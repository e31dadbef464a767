<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Waiver;
use Orthotaxis\Core\Refusal;

/** Which conditions each step of an order asks for. A new one is a class of its own and a word in a list here. */
final readonly class Readiness
{
    /** For opening the items for work. */
    private const REVISING = [ItemIsRevised::class, EditorIsNamed::class];

    /** For holding the order still and judging it. */
    private const REVIEW = [
        ...self::REVISING,
        TasksBeforeReviewAreDone::class,
        RevisedItemsAreEdited::class,
        ...self::STRUCTURES,
        PlantsHaveTakenOver::class,
        BelongingsAreCurrent::class,
        StockHasDisposition::class,
        DateCanBeKept::class,
        NoEarlierThanParent::class,
        AnotherPersonSigns::class,
    ];

    /** For making it true. */
    private const RELEASE = [
        IsSigned::class,
        SignedIsUnchanged::class,
        ParentIsReleased::class,
        SubordinatesAreSigned::class,
        TasksBeforeReleaseAreDone::class,
        DateCanBeKept::class,
        NoEarlierThanParent::class,
        ...self::STRUCTURES,
        PlantsHaveTakenOver::class,
        BelongingsAreCurrent::class,
    ];

    private const STRUCTURES = [EditsStartFromNewest::class, ComponentsAreInForce::class, LinesAreClear::class];

    /** @return list<Check> */
    public static function forRevising(Order $order, Day $today): array
    {
        return self::checks(self::REVISING, $order, $today);
    }

    /** @return list<Check> */
    public static function forReview(Order $order, Day $today): array
    {
        return self::checks(self::REVIEW, $order, $today);
    }

    /** @return list<Check> */
    public static function forRelease(Order $order, Day $today): array
    {
        return self::checks(self::RELEASE, $order, $today);
    }

    /**
     * @param  list<Check>  $checks
     *
     * @throws Refusal naming everything that stands in the way, by the place where it is put right
     */
    public static function mustHold(array $checks): void
    {
        $reasons = [];
        foreach ($checks as $check) {
            if ($check->stops()) {
                $reasons[$check->place] = isset($reasons[$check->place]) ? "{$reasons[$check->place]} {$check->reason}" : $check->reason;
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
    }

    /**
     * @param  list<class-string<Condition>>  $conditions
     * @return list<Check>
     */
    private static function checks(array $conditions, Order $order, Day $today): array
    {
        $checks = [];
        foreach ($conditions as $class) {
            $condition = new $class();
            if ($condition instanceof OfSome && !$condition->concerns($order)) {
                continue;
            }
            $fault = $condition->fault($order, $today);
            $checks[] = match (true) {
                $fault === '' => new Check($condition->name(), true),
                $condition instanceof Waivable => new Check(
                    $condition->name(),
                    false,
                    $fault,
                    $condition->place(),
                    waiver: self::waiver($order, $condition, $fault),
                    waivable: $condition->key(),
                ),
                default => new Check($condition->name(), false, $fault, $condition->place()),
            };
        }

        return $checks;
    }

    private static function waiver(Order $order, Waivable $condition, string $fault): ?Waiver
    {
        foreach ($order->waivers as $waiver) {
            if ($waiver->condition === $condition->key() && $waiver->fault === $fault) {
                return $waiver;
            }
        }

        return null;
    }
}
