<?php

declare(strict_types=1);

namespace App\Dossier\Proposals;

use App\Dossier\CarriedOver;
use App\Dossier\Events\LinesProposed;
use App\Dossier\Events\ProposalDropped;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\ProposalRule;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\NamedItems;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** Opens the items of a request for lines as its author would have them, before there is an order. */
final readonly class ProposeLines
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Opens what the request names and is not open yet, and further items.
     *
     * @param  list<string>  $further  numbers
     *
     * @throws Refusal when the person may not, an item is none that gets a revision, or all of it is open
     */
    public function open(Person $by, string $number, array $further): void
    {
        $this->ledger->together(static function () use ($by, $number, $further): void {
            $request = self::held($by, $number);
            $proposal =
                ChangeOrder::proposedBy($request) ??
                ChangeOrder::query()->create([
                    'number' => $number,
                    'title' => $request->title,
                    'priority' => $request->priority,
                    'state' => OrderState::Proposed,
                    'author_id' => $request->raised_by,
                    'editor_id' => $request->raised_by,
                    'raised_at' => CarbonImmutable::now(),
                ]);
            $rows = array_diff_key(CarriedOver::rows($request) + self::rows($further), $proposal->items()->pluck('item_id')->flip()->all());
            if ($rows === []) {
                throw Refusal::at($further === [] ? 'request' : 'items', 'It is open for the proposal already.');
            }
            $items = Item::query()->with('released')->whereKey(array_keys($rows))->get()->keyBy('id');
            foreach ($proposal->items()->createMany(array_values($rows)) as $row) {
                if ($row->outcome === Outcome::Revise) {
                    $row->workOn($items[$row->item_id]->workBase()?->id);
                }
            }
            event(new LinesProposed($by->login, $number, $items->pluck('number')->values()->all()));
        });
    }

    /**
     * The request proposes nothing any more.
     *
     * @throws Refusal when the person may not, or lines are edited: undo gives them back first
     */
    public function drop(Person $by, string $number): void
    {
        $this->ledger->together(static function () use ($by, $number): void {
            $proposal = ChangeOrder::proposedBy(self::held($by, $number)) ?? throw Refusal::at('request', "{$number} proposes nothing.");
            $edits = EditRecord::query()->whereHas('work.row', static fn(Builder $row): Builder => $row->where('order_id', $proposal->id));
            if ($edits->exists()) {
                throw Refusal::at('request', 'Lines have been edited in it: it stays on record. Undo takes edits back.');
            }
            $proposal->items()->delete();
            $proposal->delete();
            event(new ProposalDropped($by->login, $number));
        });
    }

    /**
     * @param  list<string>  $numbers
     * @return array<int, array{item_id: int, disposition: null, outcome: Outcome}> by item
     */
    private static function rows(array $numbers): array
    {
        $rows = [];
        foreach (NamedItems::ids($numbers) as $id) {
            $rows[$id] = ['item_id' => $id, 'disposition' => null, 'outcome' => Outcome::Revise];
        }
        $retired = Item::query()->whereKey(array_keys($rows))->whereDoesntHave('released')->whereHas('everReleased')->pluck('number');

        return $retired->isEmpty() ? $rows : throw Refusal::at('items', "{$retired->join(', ')} is retired: it gets no new revision.");
    }

    private static function held(Person $by, string $number): ChangeRequest
    {
        $request = ChangeRequest::hold($number);
        $refusal = ProposalRule::refusalOf($by, $request);

        return $refusal === null ? $request : throw Refusal::at('request', $refusal);
    }
}
