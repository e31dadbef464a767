<?php

declare(strict_types=1);

namespace App\Changes\Actions;

use App\Changes\Models\ChangeRequest;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Setup\NumberRange;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

final readonly class RaiseRequest
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger) {}

    /**
     * @param  array{title: string, reason: string, source: string, site: string, priority: string, description: string}  $fields
     * @param  list<string>  $items  numbers of the affected items
     */
    public function raise(Person $by, array $fields, array $items): ChangeRequest
    {
        return DB::transaction(function () use ($by, $fields, $items): ChangeRequest {
            $found = Item::query()->whereIn('number', $items)->pluck('id', 'number');
            $unknown = array_diff($items, $found->keys()->all());
            if ($unknown !== []) {
                throw Refusal::at('items', 'There is no item '.implode(', ', $unknown).'.');
            }
            $request = ChangeRequest::query()->create([
                ...$fields,
                'number' => $this->numbers->next('request'),
                'raised_by' => $by->id,
                'raised_at' => CarbonImmutable::now(),
            ]);
            $request->items()->attach($found->values()->all());
            $this->ledger->record($by->login, 'request.raised', $request->number, ['title' => $fields['title'], 'items' => $items]);

            return $request->refresh();
        });
    }
}
