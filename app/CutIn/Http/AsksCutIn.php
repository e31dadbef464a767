<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use App\CutIn\StartReader;
use Illuminate\Validation\Rule;
use Orthotaxis\Core\Change\Disposition;

/** The question to the cut-in planner, in whatever request it comes. */
trait AsksCutIn
{
    private const QUESTION = [
        'swaps',
        'parts',
        'reasons',
        'approval_days',
        'tooling_on',
        'prescribed_on',
        'at_risk',
        'late_from_stock',
        'cost_difference',
        'look_ahead',
        'per_straddling_order',
        'shortage_percent',
        'not_cancelled',
        'expected',
    ];

    /** @return array<string, mixed> */
    private function questionRules(): array
    {
        $amount = ['nullable', 'string', 'regex:/^-?\d{1,9}(\.\d{1,4})?$/D'];
        $positive = ['nullable', 'string', 'regex:/^\d{1,9}(\.\d{1,4})?$/D'];
        $quantity = ['nullable', 'string', 'regex:/^\d{1,9}(\.\d{1,6})?$/D'];
        $day = 'bail|string|date_format:Y-m-d';

        return [
            'swaps' => 'required|array|list|min:1|max:' . StartReader::AT_MOST,
            'swaps.*.gone' => 'nullable|array|list|max:20',
            'swaps.*.gone.*' => 'required|bail|string|exists:items,number',
            'swaps.*.come' => 'nullable|array|list|max:20',
            'swaps.*.come.*.item' => 'required|bail|string|exists:items,number',
            'swaps.*.come.*.ratio' => ['nullable', 'string', 'regex:/^\d{1,6}(\.\d{1,6})?$/D'],
            'swaps.*.parents' => 'nullable|array|list|max:20000',
            'swaps.*.parents.*' => 'string|max:100',
            'parts' => 'nullable|array|list|max:500',
            'parts.*.item' => 'required|string|max:100',
            'parts.*.keep' => $quantity,
            'parts.*.disposition' => ['nullable', Rule::enum(Disposition::class)],
            'parts.*.disposal' => $amount,
            'parts.*.rework_percent' => 'nullable|integer|between:0,100',
            'parts.*.rework_cost' => $amount,
            'parts.*.penalty' => $positive,
            'parts.*.lead_days' => 'nullable|integer|between:0,3650',
            'parts.*.no_orders' => 'nullable|boolean',
            'parts.*.safety' => $quantity,
            'parts.*.minimum' => $quantity,
            'parts.*.multiple' => $quantity,
            'parts.*.yield_percent' => 'nullable|integer|between:1,100',
            'parts.*.sooner_days' => 'nullable|integer|between:0,365',
            'parts.*.sooner_most' => $quantity,
            'parts.*.sooner_percent' => 'nullable|integer|between:0,1000',
            'parts.*.sooner_cost' => $positive,
            'reasons' => 'nullable|array|list|max:500',
            'reasons.*.lever' => 'required|string|max:150',
            'reasons.*.reason' => 'required|string|max:500',
            'approval_days' => 'nullable|integer|between:0,365',
            'tooling_on' => "nullable|{$day}",
            'prescribed_on' => "nullable|{$day}",
            'at_risk' => 'nullable|boolean',
            'late_from_stock' => 'nullable|boolean',
            'cost_difference' => 'nullable|in:counts,ignored',
            'look_ahead' => 'nullable|integer|between:90,1095',
            'per_straddling_order' => $amount,
            'shortage_percent' => 'nullable|integer|between:0,10000',
            'not_cancelled' => 'nullable|array|list|max:500',
            'not_cancelled.*' => 'string|max:60',
            'expected' => 'nullable|array|list|max:500',
            'expected.*.document' => 'required|string|max:60',
            'expected.*.on' => "required|{$day}",
        ];
    }

    /** @return array<string, string> */
    private function questionMessages(): array
    {
        $amount = 'Write an amount such as 2.50.';
        $quantity = 'Write a quantity, such as 1 or 0.5.';
        $whole = static fn(int $most): string => "Whole days, at most {$most}.";

        return [
            'swaps.required' => 'Name what goes and what comes.',
            'swaps.max' => 'At most ' . StartReader::AT_MOST . ' swaps are planned together.',
            'swaps.*.gone.*.required' => 'Name the part that goes.',
            'swaps.*.gone.*.exists' => 'There is no such item.',
            'swaps.*.come.*.item.required' => 'Name the part that comes.',
            'swaps.*.come.*.item.exists' => 'There is no such item.',
            'swaps.*.come.*.ratio.*' => $quantity,
            'parts.*.keep.*' => $quantity,
            'parts.*.disposal.*' => $amount,
            'parts.*.rework_percent.*' => 'Whole percent, from 0 to 100.',
            'parts.*.rework_cost.*' => $amount,
            'parts.*.penalty.*' => $amount,
            'parts.*.lead_days.*' => $whole(3650),
            'parts.*.safety.*' => $quantity,
            'parts.*.minimum.*' => $quantity,
            'parts.*.multiple.*' => $quantity,
            'parts.*.yield_percent.*' => 'Whole percent, from 1 to 100.',
            'parts.*.sooner_days.*' => $whole(365),
            'parts.*.sooner_most.*' => $quantity,
            'parts.*.sooner_percent.*' => 'Whole percent, at most 1000.',
            'parts.*.sooner_cost.*' => 'Write an amount such as 250.00.',
            'look_ahead.*' => 'Whole days, from 90 to 1095.',
            'approval_days.*' => $whole(365),
            'tooling_on.*' => 'Write the day as year-month-day.',
            'prescribed_on.*' => 'Write the day as year-month-day.',
            'per_straddling_order.*' => 'Write an amount such as 35.00.',
            'shortage_percent.*' => 'Whole percent, at most 10000.',
            'expected.*.on.*' => 'Write the day as year-month-day.',
        ];
    }

    /** @return array<string, mixed> the question alone */
    public function question(): array
    {
        return array_intersect_key((array) $this->validated(), array_flip(self::QUESTION));
    }
}
