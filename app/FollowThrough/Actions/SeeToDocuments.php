<?php

declare(strict_types=1);

namespace App\FollowThrough\Actions;

use App\FollowThrough\Events\DocumentsDecided;
use App\FollowThrough\Events\DocumentsReopened;
use App\FollowThrough\Events\DocumentsSeenTo;
use App\FollowThrough\Models\OldDocument;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Refusal;

/** Decides what is done about documents that name what an order replaced, of many at once: all of it or nothing. */
final readonly class SeeToDocuments
{
    public function __construct(private Ledger $ledger) {}

    /**
     * What is not said stays as it is.
     *
     * @param  list<int>  $ids
     * @param  bool  $asProposed  each as it is proposed; those of which nothing is are refused
     * @param  ?string  $owner  sign-in name of who sees to them
     * @param  string  $note  why they are accepted as they are; may be said of any way
     */
    public function decide(
        Person $by,
        string $number,
        array $ids,
        ?Way $way,
        bool $asProposed,
        ?string $owner,
        ?Day $due,
        string $note,
    ): void {
        $this->ledger->together(function () use ($by, $number, $ids, $way, $asProposed, $owner, $due, $note): void {
            $rows = self::held($number, $ids);
            $person = $owner === null ? null : self::owner($owner);
            if ($way === Way::Accept && $note === '') {
                throw Refusal::at('note', 'Say why it is accepted as it is.');
            }
            $refused = [];
            foreach ($rows as $row) {
                if (!$row->state()->holdsOrder()) {
                    $refused[] = "{$row->document} is seen to already.";
                } elseif ($asProposed && $row->proposed === null) {
                    $refused[] = "Of {$row->document} nothing is proposed: decide it yourself.";
                }
            }
            if ($refused !== []) {
                throw Refusal::at('ids', implode(' ', array_slice($refused, 0, 5)));
            }
            self::update($rows, [
                ...$asProposed ? ['way' => DB::raw('proposed')] : ($way === null ? [] : ['way' => $way]),
                // What planning was told was another decision.
                ...$asProposed || $way !== null ? ['handover_entry_id' => null] : [],
                ...$person === null ? [] : ['owner_id' => $person->id],
                ...$due === null ? [] : ['due_on' => (string) $due],
                ...$note === '' ? [] : ['note' => $note],
                ...$way === Way::Accept ? ['seen_at' => CarbonImmutable::now(), 'seen_by' => $by->id] : [],
            ]);
            event(
                new DocumentsDecided(
                    $by->login,
                    $number,
                    documents: self::names($rows),
                    way: $asProposed ? 'as_proposed' : $way?->value,
                    owner: $owner,
                    due: $due === null ? null : (string) $due,
                    note: $note === '' ? null : $note,
                ),
            );
        });
    }

    /** @param  list<int>  $ids */
    public function seeTo(Person $by, string $number, array $ids, string $reason): void
    {
        $this->ledger->together(function () use ($by, $number, $ids, $reason): void {
            $rows = self::held($number, $ids);
            foreach ($rows as $row) {
                if (!$row->state()->holdsOrder()) {
                    throw Refusal::at('ids', "{$row->document} is seen to already.");
                }
            }
            self::update($rows, ['seen_at' => CarbonImmutable::now(), 'seen_by' => $by->id, 'note' => $reason]);
            event(new DocumentsSeenTo($by->login, $number, self::names($rows), $reason));
        });
    }

    /**
     * Takes back that a person has seen to them.
     *
     * @param  list<int>  $ids
     */
    public function reopen(Person $by, string $number, array $ids): void
    {
        $this->ledger->together(function () use ($by, $number, $ids): void {
            $rows = self::held($number, $ids);
            foreach ($rows as $row) {
                if ($row->seen_at === null) {
                    throw Refusal::at('ids', "Nobody has seen to {$row->document}.");
                }
            }
            // What was accepted as it is, is not decided any more.
            self::update($rows, [
                'seen_at' => null,
                'seen_by' => null,
                'note' => '',
                'way' => DB::raw("NULLIF(way, 'accept')"),
            ]);
            event(new DocumentsReopened($by->login, $number, self::names($rows)));
        });
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, OldDocument>
     */
    public static function held(string $number, array $ids): Collection
    {
        $order = ChangeOrder::hold($number);
        if ($order->state !== OrderState::Released) {
            throw Refusal::at('order', "{$number} is not being followed through.");
        }
        $rows = OldDocument::query()->where('order_id', $order->id)->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get();
        if ($rows->count() !== count(array_unique($ids))) {
            throw Refusal::at('ids', 'Not all of these documents are on this order any more.');
        }

        return $rows;
    }

    /**
     * All at once.
     *
     * @param  Collection<int, OldDocument>  $rows
     * @param  array<string, mixed>  $values
     */
    private static function update(Collection $rows, array $values): void
    {
        if ($values !== []) {
            OldDocument::query()->whereIn('id', $rows->modelKeys())->update($values);
        }
    }

    private static function owner(string $login): Person
    {
        $person = Person::query()->where('login', $login)->where('active', true)->first() ?? throw Refusal::at('owner', 'Choose a person.');

        return $person->mayDo(Ability::SeeToDocuments) ? $person : throw Refusal::at('owner', "{$person->name} may not see to documents.");
    }

    /**
     * @param  Collection<int, OldDocument>  $rows
     * @return list<string>
     */
    public static function names(Collection $rows): array
    {
        return array_values($rows->map(static fn(OldDocument $row): string => $row->document)->unique()->all());
    }
}
