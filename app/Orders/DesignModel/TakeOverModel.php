<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\DesignModel\Data\ModelItem;
use App\Orders\DesignModel\Data\ModelOutcome;
use App\Orders\DesignModel\Data\ModelRow;
use App\Orders\Models\ChangeOrder;
use App\Orders\NewLines;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\People\Ability;
use App\People\Models\Person;
use App\Structures\Actions\AddItem;
use App\Structures\Data\LineRow;
use App\Structures\ItemKind;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Orthotaxis\Core\DesignModel\Found;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/**
 * Takes what a design model says otherwise over into an order: what is new gets its number by the rule of its category, what differs
 * becomes edits, all that was chosen in one act. What is left is told again with the next model.
 */
final readonly class TakeOverModel
{
    public function __construct(
        private ModelDifferences $differences,
        private AddItem $items,
        private MakeStroke $strokes,
        private Ledger $ledger,
    ) {}

    /** What the model says otherwise; nothing is done. */
    public function look(Person $by, string $number, string $path): ModelOutcome
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $file = ModelFile::read($path);

        return $this->outcome($by, $order, $file, KnownNames::of($file->names()), [], null);
    }

    /**
     * @param  list<string>  $chosen  keys of rows
     * @param  array<array-key, string>  $categories  codes, by what the model calls something new
     *
     * @throws Refusal at the category or the row: nothing is done then
     */
    public function take(Person $by, string $number, string $path, array $chosen, array $categories): ModelOutcome
    {
        $file = ModelFile::read($path);

        return $this->ledger->together(function () use ($by, $number, $file, $chosen, $categories): ModelOutcome {
            $order = HeldWork::openOrder($number);
            $plans = OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null;
            $plans || OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $known = KnownNames::of($file->names());
            $given = $this->number($by, $file, array_diff_key($categories, $known));
            if ($given !== [] && $plans) {
                // It is released for the first time with the order.
                HeldSubjects::of($by, $order, self::named($order, $given), true);
            }
            $numbers = $known + $given;
            $wanting = array_flip($chosen);
            $unwanted = UnwantedParts::of(array_values($numbers));
            $taken = $left = $reasons = [];
            foreach ($this->differences->of($order, $file, $numbers) as $name => $found) {
                foreach ($found as $one) {
                    $row = self::row($file, $numbers, (string) $name, $one, $unwanted);
                    $wanted = isset($wanting[$row->key]);
                    if ($wanted && $row->waits_for !== []) {
                        $reasons["chosen.{$row->key}"] = implode(', ', $row->waits_for) . ' has no number yet: choose its category.';
                    } elseif ($wanted && $row->unwanted) {
                        $reasons["chosen.{$row->key}"] = "{$row->component} is marked as not wanted in {$row->parent}.";
                    } elseif ($wanted && $one->edit === null) {
                        $reasons["chosen.{$row->key}"] = "{$row->parent}, {$row->component}: {$row->why}";
                    } elseif ($wanted && $one->edit !== null) {
                        $taken[$numbers[$name]][] = $one->edit;
                    } else {
                        $left[$name][] = $one;
                    }
                }
            }
            if ($reasons !== []) {
                throw Refusal::because($reasons);
            }
            if ($taken === [] && $given === []) {
                throw Refusal::at('chosen', 'Choose at least one difference.');
            }
            $stroke = $taken === [] ? null : $this->edit($by, $order, $taken, $plans);
            LastModels::remember($order, $stroke, self::agreed($file, $numbers, $left));

            return $this->outcome($by, $order, $file, $numbers, array_values($given), $stroke);
        });
    }

    /**
     * @param  array<array-key, string>  $categories  codes, by name
     * @return array<array-key, string> numbers, by name
     */
    private function number(Person $by, ModelFile $file, array $categories): array
    {
        if ($categories !== [] && !$by->mayDo(Ability::AddItem)) {
            throw Refusal::at('categories', 'Your role does not allow new items.');
        }
        $there = Category::query()->whereIn('code', array_unique($categories))->pluck('code')->all();
        $given = $reasons = [];
        foreach (array_intersect_key($categories, $file->titles) as $name => $category) {
            if (!in_array($category, $there, true)) {
                $reasons["categories.{$name}"] = "{$name}: there is no category {$category}.";

                continue;
            }
            try {
                $given[$name] = ($this->items)($by, [
                    'title' => mb_substr($file->titles[$name] ?: (string) $name, 0, 200),
                    'kind' => isset($file->assemblies[$name]) ? ItemKind::Assembly : ItemKind::Part,
                    'category' => $category,
                    'unit' => Unit::Piece,
                    'supply' => 'make',
                    'sold' => false,
                    'attributes' => [],
                ]);
                KnownNames::remember((string) $name, $given[$name]);
            } catch (Refusal $refusal) {
                $reasons["categories.{$name}"] = "{$name}: {$refusal->getMessage()}";
            }
        }

        return $reasons === [] ? $given : throw Refusal::because($reasons);
    }

    /**
     * @param  non-empty-array<array-key, non-empty-list<LineEdit>>  $taken  by number
     * @return string the stroke
     */
    private function edit(Person $by, ChangeOrder $order, array $taken, bool $plans): string
    {
        $named = self::named($order, array_map(strval(...), array_keys($taken)));
        $works = HeldSubjects::of($by, $order, $named, $plans);
        $all = array_map(
            static fn(NamedWork $one): SubjectEdits => new SubjectEdits($works[$one->subject()], NewLines::completed($taken[$one->item])),
            $named,
        );

        return $this->strokes->of(
            $by,
            $order,
            $all,
            'Design model taken over',
            static fn(int $of, int $at, string $field, string $reason): array => [
                "chosen.{$of}.{$at}.{$field}" => "{$all[$of]->work->subject()}: {$reason}",
            ],
        );
    }

    /**
     * @param  non-empty-array<array-key, string>  $items  numbers
     * @return non-empty-list<NamedWork>
     */
    private static function named(ChangeOrder $order, array $items): array
    {
        return array_map(static fn(string $item): NamedWork => new NamedWork($order->number, $item), array_values($items));
    }

    /**
     * What the model and the structures agree on now. What was not taken over is told again with the next model.
     *
     * @param  array<array-key, string>  $numbers  by name
     * @param  array<array-key, list<Found>>  $left  by name of the assembly
     * @return array<array-key, array<array-key, int>> pieces, by numbers of assembly and component
     */
    private static function agreed(ModelFile $file, array $numbers, array $left): array
    {
        $agreed = [];
        foreach (array_intersect_key($file->assemblies, $numbers) as $name => $pieces) {
            foreach ($pieces as $component => $count) {
                $agreed[$numbers[$name]][$numbers[$component] ?? $component] = $count;
            }
            foreach ($left[$name] ?? [] as $one) {
                $agreed[$numbers[$name]][$one->component] = $one->pieces === 0 ? 1 : 0;
            }
        }

        return $agreed;
    }

    /**
     * @param  array<array-key, string>  $numbers  by name
     * @param  list<string>  $given
     */
    private function outcome(Person $by, ChangeOrder $order, ModelFile $file, array $numbers, array $given, ?string $stroke): ModelOutcome
    {
        $differ = $this->differences->of($order, $file, $numbers);
        $components = array_map(static fn(Found $one): string => $one->component, array_merge(...array_values($differ)));
        $titles = Item::query()->whereIn('number', array_unique($components))->pluck('title', 'number')->all();
        $unwanted = UnwantedParts::of(array_values($numbers));
        $rows = [];
        foreach ($differ as $name => $found) {
            foreach ($found as $one) {
                $rows[] = self::row($file, $numbers, (string) $name, $one, $unwanted, $titles);
            }
        }

        return new ModelOutcome(
            done: $stroke !== null || $given !== [],
            may_take: OrderPolicy::mayEdit($by, $order) || OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null,
            rows: $rows,
            items: array_values(
                array_map(
                    static fn(int|string $name): ModelItem => new ModelItem(
                        name: (string) $name,
                        title: $file->titles[$name],
                        kind: isset($file->assemblies[$name]) ? 'assembly' : 'part',
                    ),
                    array_keys(array_diff_key($file->titles, $numbers, self::onlyUnwanted($rows))),
                ),
            ),
            numbered: $given,
            known: count(array_intersect_key($file->assemblies, $numbers)),
            stroke: $stroke,
        );
    }

    /**
     * What needs no number: it stands nowhere but where it is not wanted.
     *
     * @param  list<ModelRow>  $rows
     * @return array<array-key, true> by what the model calls it
     */
    private static function onlyUnwanted(array $rows): array
    {
        $waiting = ['' => [], '1' => []];
        foreach ($rows as $row) {
            $waiting[(string) $row->unwanted] += array_fill_keys($row->waits_for, true);
        }

        return array_diff_key($waiting['1'], $waiting['']);
    }

    /**
     * @param  array<array-key, string>  $numbers  by name
     * @param  array<array-key, array<array-key, true>>  $unwanted  as UnwantedParts gives it
     * @param  array<array-key, mixed>  $titles  of items, by number
     */
    private static function row(ModelFile $file, array $numbers, string $name, Found $one, array $unwanted, array $titles = []): ModelRow
    {
        $here = $unwanted[$numbers[$name] ?? ''] ?? [];
        $called = array_search($one->component, $numbers, true);
        $called = $called === false ? $one->component : (string) $called;
        $unknown = isset($file->titles[$called]) && !isset($numbers[$called]);

        return new ModelRow(
            key: implode("\n", [$name, $called, $one->before->key ?? '']),
            parent: $numbers[$name] ?? $name,
            mark: $one->before === null ? 'added' : ($one->pieces === 0 ? 'removed' : 'changed'),
            component: $one->component,
            title: is_string($titles[$one->component] ?? null) ? $titles[$one->component] : $file->titles[$called] ?? '',
            before: $one->before === null ? null : LineRow::of($one->before),
            pieces: $one->pieces,
            why: $one->why,
            waits_for: array_values(array_unique([...isset($numbers[$name]) ? [] : [$name], ...$unknown ? [$called] : []])),
            // What the structure has already is told all the same.
            unwanted: $one->before === null && (isset($here[$one->component]) || isset($here[$called])),
        );
    }
}
