<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Models\WorkCentre;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\Operation;

/** What an operation must not name: work centres that the plant has not, and items that are not there or not of that kind. */
final readonly class RoutingGuard
{
    private const DOCUMENTS = ['document', 'drawing'];

    private const TOOLS = ['tool'];

    /**
     * Asked of the database a fixed number of times.
     *
     * @param  array<int, array{Operation, ?Operation}>  $changes  as it is to read, and as it read before; by place
     * @return array<int, Refusal> by place
     */
    public function faults(string $plant, array $changes): array
    {
        if ($changes === []) {
            return [];
        }
        $centres = WorkCentre::query()->where('plant', $plant)->orderBy('code')->get()->keyBy('code');
        $numbers = array_merge(...array_map(static fn(array $change): array => $change[0]->refersTo(), array_values($changes)));
        $kinds = Item::query()->toBase()->whereIn('number', array_unique($numbers))->pluck('kind', 'number')->all();
        $faults = [];
        foreach ($changes as $at => [$operation, $was]) {
            $reasons = array_filter([
                'work_centre' =>
                    $operation->workCentre === ($was->workCentre ?? '') ? '' : self::ofCentre($plant, $operation->workCentre, $centres),
                'instruction' => self::ofItems([$operation->instruction], self::DOCUMENTS, $kinds),
                'tools' => self::ofItems($operation->tools, self::TOOLS, $kinds),
                'specification' => self::ofItems([$operation->specification], self::DOCUMENTS, $kinds),
            ]);
            if ($reasons !== []) {
                $faults[$at] = Refusal::because($reasons);
            }
        }

        return $faults;
    }

    /** @param  Collection<array-key, WorkCentre>  $centres  of the plant, by code */
    private static function ofCentre(string $plant, string $code, Collection $centres): string
    {
        $centre = $centres[$code] ?? null;

        return match (true) {
            $code === '' => '',
            $centre === null => "{$plant} has no work centre {$code}. It has " .
                ($centres->where('retired', false)->keys()->implode(', ') ?: 'none yet') .
                '.',
            $centre->retired => "{$code} at {$plant} is retired: nothing new is planned there.",
            default => '',
        };
    }

    /**
     * @param  list<string>  $numbers  empty ones stand for none
     * @param  list<string>  $wanted  kinds of item
     * @param  array<string, mixed>  $kinds  by number, of items that there are
     */
    private static function ofItems(array $numbers, array $wanted, array $kinds): string
    {
        foreach (array_filter($numbers) as $number) {
            if (!isset($kinds[$number])) {
                return (new MistypedNumbers())->noSuchItem($number);
            }
            if (!in_array($kinds[$number], $wanted, true)) {
                return "{$number} is no " . implode(' and no ', $wanted) . '.';
            }
        }

        return '';
    }
}
