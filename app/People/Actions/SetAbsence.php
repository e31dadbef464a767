<?php

declare(strict_types=1);

namespace App\People\Actions;

use App\Ledger\Ledger;
use App\People\Events\AbsenceSet;
use App\People\Models\Absence;
use App\People\Models\Person;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Says when somebody is away and who stands in, or that they are not. */
final readonly class SetAbsence
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  string  $of  sign-in name
     * @param  ?string  $deputy  sign-in name; null: nobody stands in
     *
     * @throws Refusal when they are away then already, or stand in for themselves
     */
    public function add(Person $by, string $of, string $first, string $last, ?string $deputy): Absence
    {
        return $this->ledger->together(static function () use ($by, $of, $first, $last, $deputy): Absence {
            $person = Person::query()->where('login', $of)->lockForUpdate()->firstOrFail();
            $standIn = $deputy === null ? null : Person::query()->where('login', $deputy)->where('active', true)->first();
            if ($deputy !== null && $standIn === null) {
                throw Refusal::at('deputy', 'There is no such person.');
            }
            if ($standIn?->id === $person->id) {
                throw Refusal::at('deputy', 'Nobody stands in for themselves.');
            }
            [$from, $to] = [Day::parse($first, 'first_day'), Day::parse($last, 'last_day')];
            if ($to->isBefore($from)) {
                throw Refusal::at('last_day', 'The last day is before the first.');
            }
            $overlaps = Absence::query()->where('person_id', $person->id)->where('first_day', '<=', $last)->where('last_day', '>=', $first);
            if ($overlaps->exists()) {
                throw Refusal::at('first_day', 'They are away on some of these days already.');
            }
            $absence = Absence::query()->create([
                'person_id' => $person->id,
                'deputy_id' => $standIn?->id,
                'first_day' => (string) $from,
                'last_day' => (string) $to,
            ]);
            event(new AbsenceSet($by->login, $of, first: $first, last: $last, deputy: $deputy ?? '', ends: false));

            return $absence;
        });
    }

    public function remove(Person $by, int $id): void
    {
        $this->ledger->together(static function () use ($by, $id): void {
            $absence = Absence::query()
                ->with(['person', 'deputy'])
                ->lockForUpdate()
                ->findOrFail($id);
            $absence->delete();
            event(
                new AbsenceSet(
                    $by->login,
                    $absence->person->login,
                    first: $absence->first_day,
                    last: $absence->last_day,
                    deputy: $absence->deputy->login ?? '',
                    ends: true,
                ),
            );
        });
    }
}
