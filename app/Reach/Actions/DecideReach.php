<?php

declare(strict_types=1);

namespace App\Reach\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Reach\Events\ReachDecided;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Impact\ReachReason;
use Orthotaxis\Core\Refusal;

/**
 * Takes things that a change touches in, or leaves them out, on record. An item that is taken in is affected from then on,
 * so the order will have it; taken back, it is not.
 */
final readonly class DecideReach
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $subjects  as ReachRow tells them
     * @param  ?bool  $taken  null takes a decision back
     * @param  list<int>  $seen  ids of the decisions that stood on screen
     *
     * @throws Stale when somebody else decided on any of them meanwhile
     */
    public function __invoke(Person $by, string $number, array $subjects, ?bool $taken, string $reason, array $seen = []): void
    {
        $this->ledger->together(function () use ($by, $number, $subjects, $taken, $reason, $seen): void {
            $request = ChangeRequest::hold($number);
            if (!$request->state->isOpen()) {
                throw Refusal::at('request', "{$number} is closed.");
            }
            $items = self::items($subjects);
            self::mustBeSeen($request, $by, $subjects, $seen);
            $before = DB::table('reach_decisions')
                ->where('request_id', $request->id)
                ->whereIn('subject', $subjects)
                ->pluck('added', 'subject');
            $own = array_intersect_key($items, $before->filter()->all());
            $added = $taken === true ? array_values(array_diff($items, $request->items()->pluck('items.id')->all())) : [];
            $request->items()->syncWithoutDetaching($added);
            $request->items()->detach($taken === true ? [] : array_values($own));

            DB::table('reach_decisions')->where('request_id', $request->id)->whereIn('subject', $subjects)->delete();
            DB::table('reach_decisions')->insert(
                $taken === null
                    ? []
                    : array_map(
                        static fn(string $subject): array => [
                            'request_id' => $request->id,
                            'subject' => $subject,
                            'taken' => $taken,
                            'reason' => $reason,
                            'person_id' => $by->id,
                            'decided_at' => CarbonImmutable::now(),
                            'added' => $taken && (isset($own[$subject]) || in_array($items[$subject] ?? null, $added, true)),
                        ],
                        $subjects,
                    ),
            );
            event(new ReachDecided($by->login, $number, $taken, $subjects, $reason));
        });
    }

    /**
     * @param  list<string>  $subjects
     * @param  list<int>  $seen
     */
    private static function mustBeSeen(ChangeRequest $request, Person $by, array $subjects, array $seen): void
    {
        $other = DB::table('reach_decisions as d')
            ->join('people as p', 'p.id', '=', 'd.person_id')
            ->where('request_id', $request->id)
            ->whereIn('subject', $subjects)
            ->where('person_id', '<>', $by->id)
            ->whereNotIn('d.id', $seen)
            ->first(['name', 'subject', 'taken', 'reason']);
        if ($other !== null) {
            $told = $other->taken ? 'took it in' : 'left it out';
            throw new Stale("{$other->name} {$told} meanwhile. Yours was not saved; look at both.", [$other->subject => $other->reason]);
        }
    }

    /**
     * @param  list<string>  $subjects
     * @return array<string, int> by subject, of those that are about an item: its id
     */
    private static function items(array $subjects): array
    {
        $named = [];
        foreach ($subjects as $subject) {
            [$reason, $of] = explode(' ', $subject, 2);
            if ($reason === ReachReason::Affected->value) {
                throw Refusal::at('subjects', 'The items of the request itself are in scope already.');
            }
            $column = in_array($reason, ['document', 'tool'], true)
                ? 'number'
                : (in_array($reason, ['parent', 'product', 'sibling'], true)
                    ? 'id'
                    : '');
            $named[$column][$subject] = $of;
        }
        unset($named['']);
        $items = [];
        foreach ($named as $column => $names) {
            $found = Item::query()->whereIn($column, array_values($names))->pluck('id', $column);
            foreach ($names as $subject => $of) {
                $items[$subject] = $found[$of] ?? throw Refusal::at('subjects', "There is no item {$of}.");
            }
        }

        return $items;
    }
}
