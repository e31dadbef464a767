<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\RecordEdit;
use Orthotaxis\Core\Manufacturing\TakeOffRecord;

/** What is put on record about an engineering line: left out, or replaced by another item; or nothing any more. */
#[
    OA\Schema(
        required: ['line', 'seen'],
        properties: [
            new OA\Property(property: 'line', type: 'string', description: 'the key of the engineering line'),
            new OA\Property(
                property: 'reason',
                type: 'string',
                nullable: true,
                description: 'left out: nothing is to be on record any more',
            ),
            new OA\Property(property: 'by', type: 'string', nullable: true, description: 'the item in its place; null: it is left out'),
            new OA\Property(property: 'new', type: 'string', nullable: true, description: 'so much of that'),
            new OA\Property(property: 'unit', type: 'string', nullable: true),
            new OA\Property(property: 'old', type: 'string', nullable: true, description: 'for so much of the line'),
            new OA\Property(property: 'seen', type: 'integer', description: 'the number of the newest edit on screen'),
        ],
    ),
]
final class RecordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => 'required|uuid',
            'reason' => 'nullable|string|max:1000',
            'by' => 'nullable|string|max:60',
            'new' => 'nullable|string|max:20',
            'unit' => 'nullable|string|max:10',
            'old' => 'nullable|string|max:20',
            'seen' => 'required|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['line.*' => 'Name the line by its key.', 'seen.*' => 'Say which edit was on screen last.'];
    }

    public function edit(): RecordEdit
    {
        $line = $this->string('line')->toString();
        if (!$this->exists('reason')) {
            return new TakeOffRecord($line);
        }
        $fields = [];
        foreach (['by', 'new', 'unit', 'old', 'reason'] as $name) {
            $text = $this->string($name)->trim()->toString();
            if ($text !== '') {
                $fields[$name] = $text;
            }
        }

        return new PutOnRecord($line, $fields);
    }
}
