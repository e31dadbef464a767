<?php

declare(strict_types=1);

namespace App\Structures\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Events\CategorySet;
use App\Structures\Models\Category;
use App\Structures\Models\UsualDisposition;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\Sequence;

/**
 * Sets what a category is called and stands under, how its items are numbered and revised and what they are asked for, from now on. What
 * is numbered keeps its number.
 */
final readonly class SetCategory
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  int  $version  as it was seen
     * @param  ?string  $name  null to leave it as it is
     * @param  ?string  $under  the code of a category; empty: it stands under none; null to leave it where it is
     * @param  list<array{name: string, label: string, required: bool}>|null  $asked  null to leave it as it is
     * @param  list<array{kind: string, disposition: string, per_unit: ?int}>|null  $dispositions  null to leave them as they are
     * @param  array{taken_over: ?string, taken_over_reason: string}|null  $takenOver  null to leave it as it is
     *
     * @throws Stale when somebody has set it since that version
     */
    public function __invoke(
        Person $by,
        string $code,
        int $version,
        ?string $name,
        ?string $under,
        NumberRule $rule,
        ?Sequence $sequence,
        ?array $asked,
        ?array $dispositions,
        ?array $takenOver = null,
    ): Category {
        return $this->ledger->together(function () use (
            $by,
            $code,
            $version,
            $name,
            $under,
            $rule,
            $sequence,
            $asked,
            $dispositions,
            $takenOver,
        ): Category {
            // All of them, so that two who move categories at once take turns.
            $all = Category::query()->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            $category = $all->firstWhere('code', $code) ?? throw (new ModelNotFoundException())->setModel(Category::class);
            if ($category->version !== $version) {
                throw new Stale('Somebody has changed this category meanwhile. Look at it again.', ['name' => $category->name]);
            }
            $values = [
                'name' => $name ?? $category->name,
                'parent_id' => $under === null ? $category->parent_id : self::over($all, $category, $under),
                'number_prefix' => $rule->prefix,
                'number_width' => $rule->width,
                'number_check' => $rule->checkDigit,
                'sequence' => $sequence?->value,
                'asked' => $asked ?? $category->asked,
                ...$takenOver ?? [],
            ];
            $category->update([...$values, 'version' => $version + 1]);
            if ($dispositions !== null) {
                $category->dispositions()->delete();
                UsualDisposition::query()->insert(
                    array_map(static fn(array $one): array => ['category_id' => $category->id] + $one, $dispositions),
                );
                $values['dispositions'] = $dispositions;
            }
            event(new CategorySet($by->login, $code, $values));

            return $category;
        });
    }

    /**
     * @param  Collection<int, Category>  $all  by id
     *
     * @throws Refusal when it would stand under itself
     */
    private static function over(Collection $all, Category $category, string $under): ?int
    {
        $over = $all->firstWhere('code', $under);
        for ($one = $over; $one !== null; $one = $all->get($one->parent_id ?? 0)) {
            if ($one->id === $category->id) {
                throw Refusal::at('under', "{$category->name} would stand under itself.");
            }
        }

        return $over?->id;
    }
}
