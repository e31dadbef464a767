<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Category;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Revision\Sequence;

/** Sets how the items of a category are numbered and revised and what they are asked for, from now on. What is numbered keeps its number. */
final readonly class SetCategory
{
    public function __construct(private Ledger $ledger) {}

    /** @param  list<array{name: string, label: string, required: bool}>|null  $asked  null to leave it as it is */
    public function __invoke(Person $by, string $code, NumberRule $rule, ?Sequence $sequence, ?array $asked): void
    {
        DB::transaction(function () use ($by, $code, $rule, $sequence, $asked): void {
            $category = Category::query()->lockForUpdate()->where('code', $code)->firstOrFail();
            $values = ['number_prefix' => $rule->prefix, 'number_width' => $rule->width, 'number_check' => $rule->checkDigit, 'sequence' => $sequence?->value, 'asked' => $asked ?? $category->asked];
            $category->update($values);
            $this->ledger->record($by->login, 'category.set', $code, $values);
        });
    }
}
