<?php

declare(strict_types=1);

namespace App\Manufacturing\Files;

use App\Manufacturing\ManufacturingContents;
use App\Manufacturing\RoutingGuard;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Vocabulary\ChoiceList;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Orthotaxis\Core\Manufacturing\BuildReader;
use Orthotaxis\Core\Structure\Line;

/** What a file of what plants build must not name: plants, items, work centres, revisions that there are not; what is built already. */
final readonly class BuiltRowsGuard
{
    public function __construct(private RoutingGuard $operations) {}

    /**
     * Asked a fixed number of times, and once more for each plant.
     *
     * @param  list<array{plant: string, parent: string, first: int, read: BuildReader}>  $some
     * @return array<int, array<string, string>> reasons by row and column
     */
    public function faults(array $some): array
    {
        $parents = Item::query()->with('everReleased')->whereIn('number', array_column($some, 'parent'))->get()->keyBy('number');
        $built = Content::query()
            ->where('kind', ManufacturingContents::NAME)
            ->whereIn('item_id', $parents->pluck('id'))
            ->whereNotIn('status', ['in_work', 'in_review'])
            ->get(['item_id', 'plant', 'code'])
            ->keyBy(static fn(Content $one): string => "{$one->item_id} {$one->plant}");
        $lines = array_merge(...array_map(static fn(array $build): array => array_values($build['read']->lines()), $some));
        $components = Item::query()
            ->whereIn('number', array_unique(array_map(static fn(Line $line): string => $line->component, $lines)))
            ->get()
            ->keyBy('number');
        $pinned = PinnedRevisions::ids($lines);
        $faults = [];
        foreach ($some as $build) {
            $faults = $build['read']->faults() + $faults;
            $faults[$build['first']] = ($faults[$build['first']] ?? []) + self::ofParent($build, $parents, $built);
            foreach ($build['read']->lines() as $row => $line) {
                $faults[$row] = ($faults[$row] ?? []) + self::ofLine($line, $components, $pinned);
            }
        }
        foreach (array_unique(array_column($some, 'plant')) as $plant) {
            $operations = [];
            foreach ($some as $build) {
                if ($build['plant'] === $plant) {
                    $operations += array_map(static fn($operation): array => [$operation, null], $build['read']->operations());
                }
            }
            foreach ($this->operations->faults((string) $plant, $operations) as $row => $refusal) {
                $faults[$row] = ($faults[$row] ?? []) + $refusal->reasons;
            }
        }
        foreach ($some as $build) {
            foreach ([...$build['read']->lines(), ...$build['read']->operations()] as $one) {
                if (!Str::isUuid($one->key)) {
                    $row = array_search($one, $build['read']->lines() + $build['read']->operations(), true);
                    $faults[$row]['key'] ??= 'An identity is a UUID. Leave it empty for a new one.';
                }
            }
        }
        ksort($faults);

        return array_filter($faults);
    }

    /**
     * @param  array{plant: string, parent: string, first: int, read: BuildReader}  $build
     * @param  Collection<array-key, Item>  $parents
     * @param  Collection<array-key, Content>  $built
     * @return array<string, string>
     */
    private static function ofParent(array $build, Collection $parents, Collection $built): array
    {
        $parent = $parents[$build['parent']] ?? null;
        $there = $parent === null ? null : $built["{$parent->id} {$build['plant']}"] ?? null;

        return array_filter([
            'plant' => ChoiceList::Site->knows($build['plant']) ? '' : "There is no plant {$build['plant']}.",
            'parent' => match (true) {
                $parent === null => $build['parent'] === ''
                    ? 'Name the parent by its item number.'
                    : (new MistypedNumbers())->noSuchItem($build['parent']),
                $parent->everReleased->isEmpty() => "{$parent->number} has no released revision that a plant could build.",
                $there !== null
                    => "{$build['plant']} builds {$parent->number} by revision {$there->code} already: change it under an order.",
                default => '',
            },
        ]);
    }

    /**
     * @param  Collection<array-key, Item>  $components
     * @param  array<string, int>  $pinned
     * @return array<string, string>
     */
    private static function ofLine(Line $line, Collection $components, array $pinned): array
    {
        $component = $components[$line->component] ?? null;

        return array_filter([
            'component' => $component === null ? (new MistypedNumbers())->noSuchItem($line->component) : '',
            'unit' =>
                $component === null || $line->unit->measuresLike($component->unit)
                    ? ''
                    : "{$line->component} is counted in {$component->unit->value}; {$line->unit->value} does not measure the same.",
            'revision' =>
                $line->revision === null || isset($pinned[$line->below()])
                    ? ''
                    : "{$line->component} has no released revision {$line->revision}.",
            'takes_over' =>
                $line->takesOver === '' || Str::isUuid($line->takesOver) ? '' : 'An engineering line is named by its key, a UUID.',
        ]);
    }
}
