<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\ChangeNotices\RecipientReader;
use App\Dossier\RequestPaths\RequestContent;
use App\Dossier\RequestPaths\RequestOnPath;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\OrderOnPath;
use App\Paths\Judged;
use App\Paths\PathProgress;
use App\Paths\StepTimes;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;

/** Steps of approval paths whose turn it is. What is on hold is not late. */
final readonly class PathSteps implements Matters
{
    public function __construct(private OrderReader $orders, private RequestContent $content) {}

    public function waiting(): iterable
    {
        $orders = ChangeOrder::query()
            ->with('path')
            ->where('state', OrderState::InReview)
            ->whereNotNull('path_id')
            ->whereNull('on_hold_since')
            ->orderBy('id')
            ->get();
        $cores = $this->orders->many($orders);
        foreach ($orders as $order) {
            $change = new OrderOnPath($order, $cores[$order->id]->proposers());
            yield from self::of($change, $order->title, "/orders/{$order->number}/review", $order->author_id);
        }
        $requests = ChangeRequest::query()
            ->with('path')
            ->where('state', RequestState::Assessing->value)
            ->whereNotNull('path_id')
            ->orderBy('id')
            ->get();
        foreach ($requests as $request) {
            $change = new RequestOnPath($request, $this->content->digest($request));
            yield from self::of($change, $request->title, "/changes/{$request->number}/decision", $request->raised_by);
        }
    }

    /**
     * @param  string  $page  on which it is signed
     * @param  int  $author  who is told in the end, where the step names nobody
     * @return iterable<Matter>
     */
    private static function of(Judged $change, string $title, string $page, int $author): iterable
    {
        $progress = PathProgress::of($change);
        foreach (StepTimes::since($change, $progress) as $at => $since) {
            $run = $progress->steps[$at];
            $due = StepTimes::due($run->step, $since, $change->daysMoved());
            if ($due === null) {
                continue;
            }
            $others = array_merge(...array_values(RecipientReader::people($run->step->escalateTo)));
            yield new Matter(
                // Sent back and begun anew it is another matter.
                key: "step {$change->number()} {$at} {$since->getTimestamp()}",
                change: $change->number(),
                title: $title,
                path: $page,
                called: $run->step->name,
                due: $due,
                people: array_keys($run->acting),
                escalateTo: $others === [] ? [$author] : $others,
                remind: $run->step->remindDays,
                escalate: $run->step->escalateDays,
            );
        }
    }
}
