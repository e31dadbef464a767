<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Belonging;

use Orthotaxis\Core\Change\Belonging;
use Orthotaxis\Core\Change\BelongingKind;
use Orthotaxis\Core\Change\BelongingState;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Structure\HasLines;

/**
 * What belongs together with the items of an order (J40), as far as it would not fit by itself once they are released:
 *
 * - a document that describes an item which gets a new revision, when it shows another one, or nothing of it is released;
 * - its design model, when it has one and none is brought for the new revision;
 * - an instruction, a specification or a tool that an operation names, when nothing of it is released;
 * - a line that names a revision of a component which gets another one under the same order.
 *
 * Example: the pump head goes from F to G under an order. Its drawing shows F: it goes along under the same order and gets a revision of
 * its own; or it adopts G, as it is drawn just so; or it is left at F with a reason. Components that are not in force on the day are a
 * condition of their own, without a way round by a single line.
 */
final readonly class Belongings
{
    /**
     * @param  list<DescribedBy>  $documents  of the items on the order
     * @param  array<string, Standing>  $standing  by number, of the documents and of what operations name
     * @param  list<LeftBehind>  $left
     * @param  list<ModelledBy>  $models  of the items on the order
     * @return list<Belonging> in the order of the items
     */
    public static function of(Order $order, array $documents, array $standing, array $left, array $models = []): array
    {
        $along = [];
        $becomes = [];
        foreach ($order->revised() as $item) {
            $along[$item->number] = true;
            $becomes[$item->number] = (string) $item->becomes();
        }
        $found = [];
        foreach ($order->items as $item) {
            if ($item->outcome === Outcome::Keep) {
                continue;
            }
            $of = [
                ...self::documents($item, $documents, $standing, $along),
                ...self::models($item, $models),
                ...self::operations($item, $standing, $along),
                ...self::lines($item, $becomes),
            ];
            foreach ($of as $one) {
                $found[] = self::decided($one, $left);
            }
        }

        return $found;
    }

    /** @return list<string> the numbers that operations of the order name */
    public static function named(Order $order): array
    {
        $numbers = [];
        foreach ($order->works() as $work) {
            foreach ($work->after instanceof ManufacturingContent ? $work->after->routing->operations : [] as $operation) {
                array_push($numbers, ...$operation->refersTo());
            }
        }

        return array_values(array_unique($numbers));
    }

    /**
     * @param  list<DescribedBy>  $documents
     * @param  array<string, Standing>  $standing
     * @param  array<string, true>  $along
     * @return list<Belonging>
     */
    private static function documents(OrderItem $item, array $documents, array $standing, array $along): array
    {
        $found = [];
        $becomes = $item->becomes();
        foreach ($documents as $link) {
            if ($link->item !== $item->number || $becomes === null) {
                continue;
            }
            $fault = ($standing[$link->document] ?? Standing::Never)->fault();
            if ($fault === '' && $link->shows !== null && $link->shows !== $becomes) {
                $fault = "shows revision {$link->shows}, not {$becomes}, which comes.";
            }
            $state = match (true) {
                isset($along[$link->document]) => BelongingState::Along,
                $link->adopts => BelongingState::Adopts,
                $fault === '' => null,
                default => BelongingState::Open,
            };
            if ($state !== null) {
                $found[] = new Belonging(
                    $item->number,
                    BelongingKind::Document,
                    $link->document,
                    $state,
                    fault: $state === BelongingState::Open ? $fault : '',
                );
            }
        }

        return $found;
    }

    /**
     * @param  list<ModelledBy>  $models
     * @return list<Belonging>
     */
    private static function models(OrderItem $item, array $models): array
    {
        $becomes = $item->becomes();
        $found = [];
        foreach ($models as $model) {
            if ($model->item !== $item->number || $becomes === null || $model->revision === $becomes) {
                continue;
            }
            $found[] = new Belonging(
                $item->number,
                BelongingKind::Model,
                $item->number,
                $model->comes ? BelongingState::Along : BelongingState::Open,
                fault: $model->comes ? '' : "its design model is of revision {$model->revision}: none is brought for {$becomes}.",
            );
        }

        return $found;
    }

    /**
     * @param  array<string, Standing>  $standing
     * @param  array<string, true>  $along
     * @return list<Belonging>
     */
    private static function operations(OrderItem $item, array $standing, array $along): array
    {
        $at = [];
        foreach ($item->works as $work) {
            foreach ($work->after instanceof ManufacturingContent ? $work->after->routing->operations : [] as $operation) {
                foreach ($operation->refersTo() as $number) {
                    $at[$number]["{$work->subject->plant} {$operation->number}"] = true;
                }
            }
        }
        $found = [];
        foreach ($at as $number => $operations) {
            $number = (string) $number;
            $fault = ($standing[$number] ?? Standing::Never)->fault();
            if ($fault !== '') {
                $names = implode(', ', array_keys($operations));
                $found[] = isset($along[$number])
                    ? new Belonging($item->number, BelongingKind::Operation, $number, BelongingState::Along)
                    : new Belonging(
                        $item->number,
                        BelongingKind::Operation,
                        $number,
                        BelongingState::Open,
                        fault: (count($operations) === 1 ? 'is named by operation ' : 'is named by operations ') . "{$names}, and {$fault}",
                    );
            }
        }

        return $found;
    }

    /**
     * @param  array<string, string>  $becomes  coming revision by number
     * @return list<Belonging>
     */
    private static function lines(OrderItem $item, array $becomes): array
    {
        $found = [];
        foreach ($item->works as $work) {
            foreach ($work->after instanceof HasLines ? $work->after->lines() : [] as $line) {
                $comes = $becomes[$line->component] ?? null;
                if ($comes !== null && $line->revision !== null && $line->revision !== $comes) {
                    $where = $work->subject->isEngineering() ? "line {$line->find}" : "line {$line->find} at {$work->subject->plant}";
                    $found[] = new Belonging(
                        $item->number,
                        BelongingKind::Line,
                        $line->component,
                        BelongingState::Open,
                        fault: "stays at revision {$line->revision} in {$where}, and {$comes} comes.",
                    );
                }
            }
        }

        return $found;
    }

    /** @param  list<LeftBehind>  $left */
    private static function decided(Belonging $one, array $left): Belonging
    {
        foreach ($one->isOpen() ? $left : [] as $decision) {
            if (
                [$decision->item, $decision->kind, $decision->number, $decision->fault] === [
                    $one->item,
                    $one->kind,
                    $one->number,
                    $one->fault,
                ]
            ) {
                return new Belonging(
                    $one->item,
                    $one->kind,
                    $one->number,
                    BelongingState::Left,
                    fault: $one->fault,
                    reason: $decision->reason,
                );
            }
        }

        return $one;
    }
}
