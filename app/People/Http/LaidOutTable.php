<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Data\TableLayout;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** How a person lays out a table. */
#[OA\Schema(allOf: [new OA\Schema(ref: TableLayout::class)])]
final class LaidOutTable extends FormRequest
{
    private const COLUMN = '/^[A-Za-z0-9_-]{1,60}$/D';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $named = static function (string $attribute, mixed $value, \Closure $fail): void {
            foreach (array_keys(is_array($value) ? $value : []) as $column) {
                if (preg_match(self::COLUMN, (string) $column) !== 1) {
                    $fail('Name columns by their letters, numbers, _ and -.');
                }
            }
        };

        return [
            'order' => 'present|array|max:60',
            'order.*' => ['string', 'regex:' . self::COLUMN],
            'visibility' => ['present', 'array', 'max:60', $named],
            'visibility.*' => 'boolean:strict',
            'sizing' => ['present', 'array', 'max:60', $named],
            'sizing.*' => 'integer|between:20,2000',
        ];
    }

    public function layout(): TableLayout
    {
        /** @var array{order: list<string>, visibility: array<string, bool>, sizing: array<string, int>} $said */
        $said = $this->validated();

        return new TableLayout(array_values($said['order']), $said['visibility'], $said['sizing']);
    }
}
