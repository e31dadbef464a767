<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Events\CategoryAdded;
use App\Structures\Models\Category;
use Illuminate\Support\Str;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Refusal;

/** A new category, for items or for other categories to stand under. */
final readonly class AddCategory
{
    public function __construct(private Ledger $ledger) {}

    /** @param  string  $under  the code of a category; empty: it stands under none */
    public function __invoke(Person $by, string $name, string $under, NumberRule $rule): Category
    {
        return $this->ledger->together(function () use ($by, $name, $under, $rule): Category {
            if (
                Category::query()
                    ->whereRaw('lower(name) = lower(?)', [$name])
                    ->lockForUpdate()
                    ->exists()
            ) {
                throw Refusal::at('name', "There is a category {$name} already.");
            }
            $code = Str::limit(Str::slug($name) ?: 'category', 16, '');
            $taken = Category::query()
                ->where('code', 'like', "{$code}%")
                ->pluck('code')
                ->flip();
            for ($free = $code, $n = 2; isset($taken[$free]); $n++) {
                $free = "{$code}-{$n}";
            }
            $category = Category::query()->create([
                'code' => $free,
                'name' => $name,
                'parent_id' => Category::query()->where('code', $under)->value('id'),
                'number_prefix' => $rule->prefix,
                'number_width' => $rule->width,
                'number_check' => $rule->checkDigit,
            ]);
            event(new CategoryAdded($by->login, $category->code, $name, $under));

            return $category->refresh();
        });
    }
}
