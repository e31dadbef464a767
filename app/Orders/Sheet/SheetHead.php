<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Sheet\Data\SheetConflict;
use App\Tables\HeadCell;
use App\Vocabulary\Priority;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Refusal;

/** What the head of a sheet makes different of its order, beside what others did to that since it was taken away. */
final readonly class SheetHead
{
    private const LONGEST = ['title' => 200, 'description' => 20_000, 'editor' => 60, 'signer' => 60];

    /**
     * @param  array<string, array{string, string}>  $changes  what was and what is to be, by name, where nobody has to choose any more
     * @param  list<SheetConflict>  $conflicts  about which nobody has chosen yet
     * @param  array<int, array<string, string>>  $faults  by row and name
     */
    private function __construct(public array $changes, public array $conflicts, public array $faults) {}

    /**
     * @param  array<string, HeadCell>  $cells  by name; what the sheet does not say stays
     * @param  array<string, string>  $was  when it was taken away
     * @param  array<string, Choice>  $choices
     */
    public static function of(ChangeOrder $order, array $cells, array $was, array $choices): self
    {
        $changes = $conflicts = $faults = [];
        $now = OrderHead::of($order);
        foreach ($cells as $name => $cell) {
            $fault = $name === OrderHead::ORDER ? self::otherOrder($cell->text, $order) : self::fault($name, $cell->text);
            if ($fault !== null) {
                $faults[$cell->row][$name] = $fault;
            } elseif ($name !== OrderHead::ORDER && $cell->text !== ($was[$name] ?? '') && $cell->text !== $now[$name]) {
                $key = "head {$name}";
                $mine = $now[$name] === ($was[$name] ?? '') || ($choices[$key] ?? null) === Choice::Mine;
                if ($mine) {
                    $changes[$name] = [$now[$name], $cell->text];
                } elseif (!isset($choices[$key])) {
                    $conflicts[] = new SheetConflict(
                        $key,
                        $order->number,
                        $name,
                        before: $was[$name] ?? '',
                        mine: $cell->text,
                        theirs: $now[$name],
                    );
                }
            }
        }

        return new self($changes, $conflicts, $faults);
    }

    /** Why it cannot be said of an order; null when it can. */
    public static function fault(string $name, string $text): ?string
    {
        if (mb_strlen($text) > (self::LONGEST[$name] ?? PHP_INT_MAX)) {
            return 'At most ' . self::LONGEST[$name] . ' characters.';
        }
        try {
            return match ($name) {
                'title' => $text === '' ? 'An order needs a title.' : null,
                'priority' => Priority::tryFrom($text) === null
                    ? 'Write one of ' . implode(', ', array_column(Priority::cases(), 'value')) . '.'
                    : null,
                'effective' => $text === '' || (string) Day::parse($text) !== '' ? null : 'Write a day.',
                default => null,
            };
        } catch (Refusal $refusal) {
            return $refusal->getMessage();
        }
    }

    private static function otherOrder(string $text, ChangeOrder $order): ?string
    {
        return $text === $order->number ? null : "This is a sheet of {$order->number}.";
    }

    /** @return array<string, ?string> as an order calls them */
    public function fields(): array
    {
        $fields = [];
        foreach ($this->changes as $name => [, $text]) {
            $fields[OrderHead::FIELDS[$name]] = $text === '' && $name !== 'description' ? null : $text;
        }

        return $fields;
    }
}
