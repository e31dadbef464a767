<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Models\Person;
use App\Structures\Events\ItemAdded;
use App\Structures\ItemNumbers;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;

/** Makes a new item: numbered by the rule of its category, in work until its first revision is released. */
final readonly class AddItem
{
    public function __construct(private ItemNumbers $numbers, private Ledger $ledger) {}

    /**
     * Refused when an attribute that the category asks for is missing.
     *
     * @param  array{category: string, attributes: array<string, string>}&array<string, mixed>  $item  columns of the item, with the code
     *     of its category
     * @return string its number
     */
    public function __invoke(Person $by, array $item): string
    {
        return $this->ledger->together(function () use ($by, $item): string {
            $category = Category::query()->where('code', $item['category'])->firstOrFail();
            $reasons = [];
            foreach ($category->asked as $asked) {
                if ($asked['required'] && ($item['attributes'][$asked['name']] ?? '') === '') {
                    $reasons["attributes.{$asked['name']}"] = "{$asked['label']} is asked of every item of {$category->name}.";
                }
            }
            if ($reasons !== []) {
                throw Refusal::because($reasons);
            }
            $known = array_column($category->asked, 'name');
            $number = $this->numbers->draw($category);
            $made = Item::query()->create([
                ...array_diff_key($item, ['category' => 1]),
                'number' => $number,
                'category_id' => $category->id,
                'attributes' => array_intersect_key($item['attributes'], array_flip($known)),
            ]);
            $by->mustKeepTo(Ability::AddItem, $number, 'category');
            event(new ItemAdded($by->login, $number, $made->title, $made->kind->value, $category->code));

            return $number;
        });
    }
}
