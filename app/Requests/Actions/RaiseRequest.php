<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Events\RequestRaised;
use App\Requests\Models\ChangeRequest;
use App\Structures\NamedItems;
use Carbon\CarbonImmutable;

final readonly class RaiseRequest
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger, private GatherReports $gather) {}

    /**
     * @param  array{title: string, reason: string, source: string, site: string, priority: string, description: string}  $fields
     * @param  list<string>  $items  numbers of the affected items
     * @param  list<string>  $reports  numbers of the problem reports that it answers
     */
    public function raise(Person $by, array $fields, array $items, array $reports = []): ChangeRequest
    {
        return $this->ledger->together(function () use ($by, $fields, $items, $reports): ChangeRequest {
            $found = NamedItems::ids($items);
            $request = ChangeRequest::query()->create([
                ...$fields,
                'number' => $this->numbers->next('request'),
                'raised_by' => $by->id,
                'raised_at' => CarbonImmutable::now(),
            ]);
            $request->items()->attach($found);
            $by->mustKeepTo(Ability::RaiseRequest, $request->number, 'site');
            event(new RequestRaised($by->login, $request->number, $fields['title'], $items));
            $this->gather->into($by, $request, $reports);

            return $request->refresh();
        });
    }
}
