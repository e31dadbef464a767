<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Orders\Models\ChangeOrder;
use App\Orders\Worksheet\WorksheetPart;
use Illuminate\Foundation\Http\FormRequest;

/** Which part of a worksheet is asked for: from one on, or the lines of some items. */
final class WorksheetQuery extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['from' => 'sometimes|integer|min:0|max:9007199254740991', 'items' => 'sometimes|string|max:20000'];
    }

    public function part(ChangeOrder $order): WorksheetPart
    {
        return $this->has('items')
            ? WorksheetPart::of($order, array_values(array_unique(explode(',', $this->string('items')->toString()))))
            : WorksheetPart::from($order, $this->integer('from'));
    }
}
