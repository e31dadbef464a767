<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use App\CutIn\StartReader;
use App\Vocabulary\ChoiceList;
use Illuminate\Validation\Rule;
use Orthotaxis\Core\Change\Disposition;

/** The question to the cut-in planner, in whatever request it comes. */
trait AsksCutIn
{
    /** @return array<string, mixed> */
    private function questionRules(): array
    {
        $amount = ['nullable', 'regex:/^-?\d{1,9}(\.\d{1,4})?$/D'];

        return [
            'pairs' => 'required|array|min:1|max:' . StartReader::AT_MOST,
            'pairs.*.old' => 'required|string|exists:items,number',
            'pairs.*.new' => 'required|string|exists:items,number|different:pairs.*.old',
            'pairs.*.ratio' => ['nullable', 'regex:/^\d{1,6}(\.\d{1,6})?$/D'],
            'pairs.*.keep' => ['nullable', 'regex:/^\d{1,9}(\.\d{1,6})?$/D'],
            'pairs.*.disposition' => ['nullable', Rule::enum(Disposition::class)],
            'pairs.*.disposal' => $amount,
            'pairs.*.rework_percent' => 'nullable|integer|between:0,100',
            'pairs.*.rework_cost' => $amount,
            'pairs.*.sooner_days' => 'nullable|integer|between:0,365',
            'pairs.*.sooner_cost' => ['nullable', 'regex:/^\d{1,9}(\.\d{1,4})?$/D'],
            'approval_days' => 'nullable|integer|min:0|max:365',
            'tooling_on' => 'nullable|bail|string|date_format:Y-m-d',
            'prescribed_on' => 'nullable|bail|string|date_format:Y-m-d',
            'per_straddling_order' => $amount,
            'expedite_percent' => 'nullable|integer|min:0|max:1000',
            'not_cancelled' => 'nullable|array|max:500',
            'not_cancelled.*' => 'string|max:60',
            'plant' => ['nullable', 'string', Rule::in(ChoiceList::Site->codes())],
        ];
    }

    /** @return array<string, string> */
    private function questionMessages(): array
    {
        return [
            'pairs.required' => 'Name the old part and the new one.',
            'pairs.*.old.required' => 'Name the old part.',
            'pairs.*.new.required' => 'Name the new part.',
            'pairs.*.old.exists' => 'There is no such item.',
            'pairs.*.new.exists' => 'There is no such item.',
            'pairs.*.new.different' => 'A part does not take its own place.',
            'pairs.*.ratio.regex' => 'Write a quantity, such as 1 or 0.5.',
            'pairs.*.keep.regex' => 'Write a quantity.',
            'pairs.*.disposal.regex' => 'Write an amount such as 2.50.',
            'pairs.*.rework_percent.*' => 'Whole percent, from 0 to 100.',
            'pairs.*.rework_cost.regex' => 'Write an amount such as 2.50.',
            'pairs.*.sooner_days.*' => 'Whole days, at most 365.',
            'pairs.*.sooner_cost.regex' => 'Write an amount such as 250.00.',
            'approval_days.*' => 'Whole days, at most 365.',
            'tooling_on.*' => 'Write the day as year-month-day.',
            'prescribed_on.*' => 'Write the day as year-month-day.',
            'per_straddling_order.regex' => 'Write an amount such as 35.00.',
            'plant.*' => 'There is no such plant.',
            'expedite_percent.*' => 'Whole percent, at most 1000.',
        ];
    }

    /** @return array<string, mixed> the question alone */
    public function question(): array
    {
        return array_intersect_key(
            (array) $this->validated(),
            array_flip([
                'pairs',
                'approval_days',
                'tooling_on',
                'prescribed_on',
                'per_straddling_order',
                'expedite_percent',
                'not_cancelled',
                'plant',
            ]),
        );
    }
}
