<?php

declare(strict_types=1);

namespace App\Paths\Actions;

use App\Ledger\Ledger;
use App\Paths\Data\ResponsibleRow;
use App\Paths\Events\ResponsibleSet;
use App\Paths\Models\Responsible;
use App\Paths\ResponsibleReader;
use App\People\Models\Person;
use App\Tasks\Assignee;

/** Says who owns the items of a category, or plans a plant. */
final readonly class SetResponsible
{
    public function __construct(private Ledger $ledger) {}

    /** @param  string  $who  as Assignee names it; empty: nobody */
    public function __invoke(Person $by, string $field, string $code, string $who): void
    {
        $known = array_filter(
            ResponsibleReader::all(),
            static fn(ResponsibleRow $one): bool => $one->field === $field && $one->code === $code,
        );
        $known === [] && abort(404);
        if ($who !== '') {
            Assignee::named($who, 'who');
        }
        $this->ledger->together(static function () use ($by, $field, $code, $who): void {
            if ($who === '') {
                Responsible::query()
                    ->where(['field' => $field, 'code' => $code])
                    ->delete();
            } else {
                Responsible::query()->upsert([['field' => $field, 'code' => $code, 'who' => $who]], ['field', 'code'], ['who']);
            }
            event(new ResponsibleSet($by->login, $code, $field, $who));
        });
    }
}
