<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Duties\Duties;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\Signature;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathAct;
use Orthotaxis\Core\Approval\PathActKind;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\Roster;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Rights\Duty;

/** How far an order has come on its path. */
final readonly class OrderProgress
{
    /** @param  list<int>  $proposers  ids of who raised and edited it, who judge nothing of it */
    public static function of(ChangeOrder $order, array $proposers): Progress
    {
        $path = self::path($order);
        $acts = [];
        $names = [];
        foreach ($path->steps as $step) {
            array_push($names, ...$step->who);
        }
        foreach ($order->signatures->sortBy('id') as $one) {
            $acts[] = $act = self::act($one);
            array_push($names, ...$act->to);
        }

        return Progress::of(
            $path,
            new Facts($order->facts),
            self::roster($order, array_values(array_unique($names))),
            $acts,
            [...$proposers, ...array_keys(app(Duties::class)->barred(Duty::Sign, $order))],
            $order->state === OrderState::InReview,
        );
    }

    public static function path(ChangeOrder $order): Path
    {
        $order->loadMissing('path');

        return $order->path?->path() ?? Path::oneSigner();
    }

    private static function act(Signature $one): PathAct
    {
        return match (PathActKind::from($one->meaning)) {
            PathActKind::Signed => PathAct::signed($one->step, $one->person_id, $one->for_id),
            PathActKind::Skipped => PathAct::skipped($one->step),
            PathActKind::Reassigned => PathAct::reassigned($one->step, $one->given_to),
            PathActKind::SentBack => PathAct::sentBack($one->step, $one->stage),
        };
    }

    /**
     * Asked several times of an order that is read once: who is who is kept as long as the order is.
     *
     * @param  list<string>  $names
     */
    private static function roster(ChangeOrder $order, array $names): Roster
    {
        /** @var ?\WeakMap<ChangeOrder, array<string, Roster>> $known */
        static $known = null;
        $known ??= new \WeakMap();
        $key = $order->signer_id . ' ' . implode(' ', $names);
        $ofOrder = $known[$order] ?? [];
        $ofOrder[$key] ??= RosterReader::of($order, $names);
        $known[$order] = $ofOrder;

        return $ofOrder[$key];
    }
}
