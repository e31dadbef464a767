<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use App\Days\Today;
use App\Structures\Models\Item;
use App\Structures\NamedItems;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** What takes the place of a part, in which parents, from which day. */
#[
    OA\Schema(
        required: ['old', 'new', 'parents', 'first_day'],
        properties: [
            new OA\Property(property: 'old', type: 'string'),
            new OA\Property(
                property: 'new',
                type: 'array',
                items: new OA\Items(
                    required: ['item', 'ratio'],
                    properties: [
                        new OA\Property(property: 'item', type: 'string'),
                        new OA\Property(property: 'ratio', type: 'string', description: 'how many take the place of one of the old'),
                    ],
                ),
            ),
            new OA\Property(property: 'parents', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'first_day',
                type: 'string',
                description: 'on which the new takes the place of the old; empty: today',
            ),
        ],
    ),
]
final class ShortageQuestion extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'old' => 'required|string|max:100',
            'new' => 'required|array|list|max:20',
            'new.*.item' => 'required|string|max:100|distinct',
            'new.*.ratio' => 'required|string|max:30',
            'parents' => 'required|array|list|max:20000',
            'parents.*' => 'required|string|max:100',
            'first_day' => 'present|nullable|string|max:10',
        ];
    }

    public function gone(): Item
    {
        return self::item('old', $this->string('old')->toString());
    }

    /** @return list<array{Item, Quantity}> */
    public function coming(): array
    {
        /** @var list<array{item: string, ratio: string}> $new */
        $new = $this->validated('new');
        $coming = [];
        foreach ($new as $at => $one) {
            $ratio = Quantity::parse($one['ratio'], "new.{$at}.ratio");
            $ratio->isPositive() || throw Refusal::at("new.{$at}.ratio", 'Write a number above zero.');
            $coming[] = [self::item("new.{$at}.item", $one['item']), $ratio];
        }

        return $coming;
    }

    /** @return list<int> ids */
    public function parents(): array
    {
        /** @var list<string> $numbers */
        $numbers = $this->validated('parents');

        return NamedItems::ids(array_values(array_unique($numbers)));
    }

    public function firstDay(): Day
    {
        $day = $this->string('first_day')->toString();

        return $day === '' ? Today::day() : Day::parse($day, 'first_day');
    }

    private static function item(string $place, string $number): Item
    {
        return Item::query()->where('number', $number)->first() ?? throw Refusal::at($place, "There is no item {$number}.");
    }
}
