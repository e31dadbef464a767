<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Category;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Numbering\NumberRule;

/** Sets how the items of a category are numbered and revised from now on. What is numbered keeps its number. */
final readonly class SetCategory
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(Person $by, string $code, NumberRule $rule, string $sequence): void
    {
        DB::transaction(function () use ($by, $code, $rule, $sequence): void {
            $category = Category::query()->lockForUpdate()->where('code', $code)->firstOrFail();
            $values = ['number_prefix' => $rule->prefix, 'number_width' => $rule->width, 'number_check' => $rule->checkDigit, 'sequence' => $sequence];
            $category->update($values);
            $this->ledger->record($by->login, 'category.set', $code, $values);
        });
    }
}
