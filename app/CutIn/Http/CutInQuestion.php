<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;

/** What goes and what comes, and what people turn to see what it does. What is left out is assumed. */
#[
    OA\Schema(
        required: ['swaps'],
        properties: [
            new OA\Property(
                property: 'swaps',
                type: 'array',
                items: new OA\Items(
                    required: ['gone', 'come'],
                    properties: [
                        new OA\Property(
                            property: 'gone',
                            type: 'array',
                            items: new OA\Items(type: 'string'),
                            description: 'item numbers; none: it only comes',
                        ),
                        new OA\Property(
                            property: 'come',
                            type: 'array',
                            items: new OA\Items(
                                required: ['item'],
                                properties: [
                                    new OA\Property(property: 'item', type: 'string'),
                                    new OA\Property(
                                        property: 'ratio',
                                        type: 'string',
                                        nullable: true,
                                        description: 'for one of the first that goes; where nothing goes, in one parent',
                                    ),
                                ],
                            ),
                            description: 'none: it only goes',
                        ),
                        new OA\Property(
                            property: 'parents',
                            type: 'array',
                            items: new OA\Items(type: 'string'),
                            description: 'in which; none: in all that have what goes',
                        ),
                    ],
                ),
            ),
            new OA\Property(
                property: 'parts',
                type: 'array',
                items: new OA\Items(
                    required: ['item'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'keep', type: 'string', description: 'of it for service'),
                        new OA\Property(property: 'disposition', type: 'string', enum: Disposition::class),
                        new OA\Property(property: 'disposal', type: 'string', description: 'what one left over costs'),
                        new OA\Property(property: 'rework_percent', type: 'integer', description: 'of what is left over'),
                        new OA\Property(property: 'rework_cost', type: 'string', description: 'the work to make a new one of it'),
                        new OA\Property(property: 'penalty', type: 'string', description: 'what one missing costs'),
                        new OA\Property(property: 'lead_days', type: 'integer', description: 'working days'),
                        new OA\Property(property: 'no_orders', type: 'boolean', description: 'it cannot be ordered any more'),
                        new OA\Property(property: 'safety', type: 'string', description: 'safety stock'),
                        new OA\Property(property: 'minimum', type: 'string', description: 'that can be ordered'),
                        new OA\Property(property: 'multiple', type: 'string', description: 'in which it is ordered'),
                        new OA\Property(property: 'yield_percent', type: 'integer', description: 'good ones of those ordered'),
                        new OA\Property(property: 'sooner_days', type: 'integer', description: 'working days by which it can be hurried'),
                        new OA\Property(property: 'sooner_most', type: 'string', description: 'how much of it can'),
                        new OA\Property(
                            property: 'sooner_percent',
                            type: 'integer',
                            description: 'what one hurried costs more, of its cost',
                        ),
                        new OA\Property(property: 'sooner_cost', type: 'string', description: 'what hurrying costs besides, once'),
                    ],
                ),
            ),
            new OA\Property(
                property: 'reasons',
                type: 'array',
                items: new OA\Items(
                    required: ['lever', 'reason'],
                    properties: [
                        new OA\Property(property: 'lever', type: 'string', description: 'its name, and the number of the part it is of'),
                        new OA\Property(property: 'reason', type: 'string'),
                    ],
                ),
                description: 'why somebody says otherwise than is assumed',
            ),
            new OA\Property(property: 'approval_days', type: 'integer', description: 'working days'),
            new OA\Property(property: 'tooling_on', type: 'string', description: 'the day on which tools and programs are ready'),
            new OA\Property(property: 'prescribed_on', type: 'string'),
            new OA\Property(property: 'at_risk', type: 'boolean', description: 'order what the change wants before it is released'),
            new OA\Property(property: 'late_from_stock', type: 'boolean', description: 'what is late takes of the stock first'),
            new OA\Property(
                property: 'cost_difference',
                type: 'string',
                enum: ['counts', 'ignored'],
                description: 'whether what the change costs more from the day on counts for the best day; left out: where it saves',
            ),
            new OA\Property(property: 'look_ahead', type: 'integer', description: 'days that are planned'),
            new OA\Property(property: 'per_straddling_order', type: 'string'),
            new OA\Property(property: 'shortage_percent', type: 'integer', description: 'what one missing costs, of its cost'),
            new OA\Property(property: 'not_cancelled', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'expected',
                type: 'array',
                items: new OA\Items(
                    required: ['document', 'on'],
                    properties: [new OA\Property(property: 'document', type: 'string'), new OA\Property(property: 'on', type: 'string')],
                ),
                description: 'when a receipt comes, where it is another day than planning has',
            ),
            new OA\Property(property: 'anew', type: 'boolean', description: 'ask planning even if it told a moment ago'),
        ],
    ),
]
final class CutInQuestion extends FormRequest
{
    use AsksCutIn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->questionRules() + ['anew' => 'nullable|boolean'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->questionMessages();
    }
}
