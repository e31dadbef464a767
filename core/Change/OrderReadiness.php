<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\StructureFaults;

/** What must hold before an order may take its next step. */
final readonly class OrderReadiness
{
    /** @return list<Check> for opening the items for work */
    public static function forRevising(Order $order): array
    {
        return [
            Check::that('An item gets a new revision', $order->revised() !== [], 'Name at least one item that gets a new revision.', 'items'),
            Check::that('An editor is named', $order->editor !== null, 'Name the person who edits.', 'editor'),
        ];
    }

    /** @return list<Check> for holding the order still and judging it */
    public static function forReview(Order $order, Day $today): array
    {
        $undecided = self::numbers($order->items, static fn (OrderItem $item): bool => $item->disposition === null && $item->mayExist());
        $idle = self::numbers($order->revised(), static fn (OrderItem $item): bool => ! $item->isEdited());

        return [
            ...self::forRevising($order),
            Check::that('Every revised item is edited', $idle === '', "{$idle}: nothing is changed yet.", 'edits'),
            ...self::structures($order),
            Check::that('Existing stock has a disposition', $undecided === '', "{$undecided}: say what happens to what exists.", 'items'),
            self::effectiveDate($order, $today),
            self::signer($order),
        ];
    }

    /** @return list<Check> for making it true */
    public static function forRelease(Order $order, Day $today): array
    {
        return [
            Check::that('It is signed', $order->state === OrderState::Signed, 'The order is not signed.', 'signature'),
            Check::that('What was signed is unchanged', $order->signedDigest === $order->digest(), 'The content is not what was signed. Send it back and have it signed again.', 'signature'),
            self::effectiveDate($order, $today),
            ...self::structures($order),
        ];
    }

    /** @param  list<Check>  $checks */
    public static function holds(array $checks): bool
    {
        return array_filter($checks, static fn (Check $check): bool => ! $check->met) === [];
    }

    /** @return list<Check> */
    private static function structures(Order $order): array
    {
        $moved = $broken = $unreleased = $faults = [];
        foreach ($order->revised() as $item) {
            if ($item->baseRevision !== $item->latestRevision) {
                $moved[] = $item->baseRevision === null
                    ? "{$item->number} was released as revision {$item->latestRevision} meanwhile: bring that revision in."
                    : "{$item->number} is at revision {$item->latestRevision} by now, the edits start from {$item->baseRevision}: bring the newer revision in.";
            }
            if ($item->unreleased !== []) {
                $unreleased[] = "{$item->number} uses ".implode(', ', $item->unreleased).', '.($order->effectiveOn === null ? 'which has no released revision.' : "which has no revision in force on {$order->effectiveOn->spelled()}.");
            }
            $broken = [...$broken, ...$item->brokenEdits];
            foreach (StructureFaults::of($item->after) as $fault) {
                $faults[] = "{$item->number}: {$fault}";
            }
        }

        return [
            Check::that('Edits start from the newest revision', $moved === [] && $broken === [], implode(' ', [...$moved, ...$broken]), 'items'),
            Check::that('Every component is released', $unreleased === [], implode(' ', $unreleased), 'edits'),
            Check::that('Find numbers and designators are clear', $faults === [], implode(' ', $faults), 'edits'),
        ];
    }

    private static function effectiveDate(Order $order, Day $today): Check
    {
        $reason = EffectiveDate::fault($order, $today);

        return Check::that('The effective date can be kept', $reason === null, (string) $reason, 'effective_on');
    }

    private static function signer(Order $order): Check
    {
        $other = $order->signer !== null && ! in_array($order->signer, $order->proposers(), true);

        return Check::that('Another person signs', $other, $order->signer === null
            ? 'Name the person who signs.'
            : 'The originator or an editor cannot sign. Name another person.', 'signer');
    }

    /**
     * @param  list<OrderItem>  $items
     * @param  callable(OrderItem): bool  $which
     */
    private static function numbers(array $items, callable $which): string
    {
        return implode(', ', array_map(static fn (OrderItem $item): string => $item->number, array_filter($items, $which)));
    }
}
