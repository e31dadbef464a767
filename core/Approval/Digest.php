<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Change\FollowsLater;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Structure\LineField;

/**
 * What a signature stands for: the same content always gives the same digest, any other content another.
 *
 * A digest says by which version it was reckoned ("2:" and 64 hexadecimal digits; without a number, by the first). When what an
 * order can hold grows, a version is added that covers it, and the earlier ones stay: what was signed stays signed.
 */
final readonly class Digest
{
    /** The fields of a line that the first version knew, in its order. */
    private const FIRST = [
        LineField::Find,
        LineField::Component,
        LineField::Revision,
        LineField::Quantity,
        LineField::Unit,
        LineField::Designators,
        LineField::Notes,
        LineField::Operation,
        LineField::NotModelled,
        LineField::Phantom,
        LineField::FirstDay,
        LineField::LastDay,
    ];

    private const NEWEST = 3;

    public static function of(Order $order): string
    {
        return self::NEWEST . ':' . self::reckoned(self::NEWEST, $order);
    }

    /** Whether the order still holds what this digest was made of. */
    public static function covers(string $digest, Order $order): bool
    {
        if (preg_match('/^(?:([1-9]\d{0,3}):)?([0-9a-f]{64})$/D', $digest, $read) !== 1) {
            return false;
        }
        $version = $read[1] === '' ? 1 : (int) $read[1];

        return $version <= self::NEWEST && hash_equals(self::reckoned($version, $order), $read[2]);
    }

    private static function reckoned(int $version, Order $order): string
    {
        $said = match ($version) {
            1 => self::first($order),
            2 => self::second($order),
            default => self::third($order),
        };

        return hash('sha256', json_encode($said, JSON_THROW_ON_ERROR));
    }

    /**
     * Fields that came later, and files, stand in it only where there are some.
     *
     * @return list<mixed>
     */
    private static function first(Order $order): array
    {
        $items = [];
        foreach ($order->items as $item) {
            $lines = [];
            foreach ($item->after() as $line) {
                $texts = [];
                foreach (self::FIRST as $field) {
                    if ($field !== LineField::Revision || $line->revision !== null) {
                        $texts[] = $line->text($field);
                    }
                }
                $lines[] = $texts;
            }
            $items[] = [
                $item->number,
                $item->outcome->value,
                $item->disposition?->value,
                $item->base->revision,
                $lines,
                ...$item->files === [] ? [] : [$item->files],
            ];
        }
        sort($items);

        return [$order->number, (string) $order->effectiveOn, $items];
    }

    /**
     * Everything by its name; a field of a line where it says something.
     *
     * @return array<string, mixed>
     */
    private static function second(Order $order): array
    {
        $items = [];
        foreach ($order->items as $item) {
            $lines = [];
            foreach ($item->after() as $line) {
                $fields = [];
                foreach (LineField::cases() as $field) {
                    $fields[$field->value] = $line->text($field);
                }
                $lines[] = array_filter($fields, static fn(string $text): bool => $text !== '');
            }
            $items[$item->number] = [
                'outcome' => $item->outcome->value,
                'disposition' => $item->disposition?->value,
                'base' => $item->base->revision,
                'lines' => $lines,
                'files' => $item->files,
            ];
        }
        ksort($items, SORT_STRING);

        return ['order' => $order->number, 'effective_on' => (string) $order->effectiveOn, 'items' => $items];
    }

    /**
     * All that is changed of an item, whatever the kind, by what it says of itself.
     *
     * @return array<string, mixed>
     */
    private static function third(Order $order): array
    {
        $items = [];
        foreach ($order->items as $item) {
            $works = [];
            foreach ($item->works as $work) {
                $works[(string) $work->subject] = ['base' => $work->base->revision, 'after' => $work->after->told()];
            }
            ksort($works, SORT_STRING);
            $items[$item->number] = [
                'outcome' => $item->outcome->value,
                'disposition' => $item->disposition?->value,
                'works' => $works,
                'files' => $item->files,
                ...$item->done === [] ? [] : ['done' => self::sorted($item->done)],
            ];
        }
        ksort($items, SORT_STRING);

        $later = array_map(
            static fn(FollowsLater $one): array => [$one->item, $one->plant, $one->order, (string) $one->by, $one->reason],
            $order->later,
        );
        sort($later);

        return [
            'order' => $order->number,
            'effective_on' => (string) $order->effectiveOn,
            'items' => $items,
            ...$later === [] ? [] : ['later' => $later],
        ];
    }

    /**
     * @param  array<string, string>  $texts
     * @return array<string, string>
     */
    private static function sorted(array $texts): array
    {
        ksort($texts, SORT_STRING);

        return $texts;
    }
}
