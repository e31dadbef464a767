<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/**
 * What has to be done by when for a cut-in on a day at a plant, the most urgent first. Orders are told up to a month behind the day: what
 * comes after is everyday business.
 */
final readonly class ToDoList
{
    private const MONTH = 30;

    /** @return list<ToDo> */
    public static function of(PlantCase $case, Levers $levers, int $day): array
    {
        $release = min($day, $case->horizon());
        $list = [new ToDo(ToDoKind::CutIn, $day)];
        if ($levers->toolingDay > 0) {
            $list[] = new ToDo(ToDoKind::Tooling, $levers->toolingDay);
        }
        foreach ($case->parts as $part) {
            $course = new PartCourse($part, $levers, $case->days);
            [$of, $latest] = self::ofPart($part, $course, $case->days, $day, $levers);
            $list = [...$list, ...$of];
            $release = min($release, $latest);
        }
        $list[] = new ToDo(ToDoKind::Release, max(0, $release));
        foreach ($case->orders as $order) {
            if ($order->straddles($day)) {
                $list[] = new ToDo(ToDoKind::SeeTo, $day, document: $order->document, for: $order->done);
            } elseif (!$order->isStarted && $order->first < $day && $day < $order->done) {
                $list[] = new ToDo(ToDoKind::Wait, max(0, $order->first), document: $order->document, for: $order->done);
            }
        }
        usort($list, static fn(ToDo $a, ToDo $b): int => $a->by <=> $b->by ?: $a->kind->rank() <=> $b->kind->rank());

        return $list;
    }

    /** @return array{list<ToDo>, int} of one part; the last day on which the change can be released for it */
    private static function ofPart(Part $part, PartCourse $course, PlantDays $days, int $day, Levers $levers): array
    {
        $list = [];
        $release = $day;
        $on = $course->on($day);
        foreach ($course->cancelled($day) as $one) {
            $list[] = new ToDo(
                kind: ToDoKind::Cancel,
                by: max(0, $one->receipt->cancelBy ?? $one->receipt->day),
                part: $part->number,
                document: $one->receipt->document,
                quantity: $one->quantity,
                for: $one->receipt->day,
            );
        }
        foreach ($part->receipts as $receipt) {
            if ($receipt->due !== null) {
                $list[] = new ToDo(
                    kind: ToDoKind::Ask,
                    by: 0,
                    part: $part->number,
                    document: $receipt->document,
                    quantity: $receipt->quantity,
                    for: $receipt->day,
                );
            }
        }
        $orders = $course->orders($day, $day + self::MONTH);
        // What others go on to want is ordered as ever: that is no matter of the change.
        $isWanted = array_filter($part->demand->from) !== [];
        foreach ([[ToDoKind::LastOrder, 0, $day], [ToDoKind::Order, $day, PHP_INT_MAX]] as [$kind, $from, $until]) {
            $some = array_filter($orders, static fn(int $on): bool => $on >= $from && $on < $until, ARRAY_FILTER_USE_KEY);
            if ($some === [] || ($kind === ToDoKind::LastOrder ? $course->goesOn : !$isWanted)) {
                continue;
            }
            $for = (int) array_key_first($some);
            $by = max(0, $days->before($for, (int) $part->leadDays));
            $list[] = new ToDo(kind: $kind, by: $by, part: $part->number, document: '', quantity: array_sum($some), for: $for);
            $release = $kind === ToDoKind::Order && !$levers->atRisk ? min($release, $by) : $release;
        }
        if ($on->hurried > 0 && $part->expediting !== null) {
            $short = array_filter($course->shorts($day), static fn(array $one): bool => $one[0] > 0);
            $for = (int) array_key_first($short);
            $by = max(0, $days->before($for, max(0, (int) $part->leadDays - $part->expediting->days)));
            $list[] = new ToDo(kind: ToDoKind::Hurry, by: $by, part: $part->number, document: '', quantity: $on->hurried, for: $for);
        }

        return [$list, $release];
    }
}
