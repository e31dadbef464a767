<?php

declare(strict_types=1);

namespace App\Dossier;

use App\FollowThrough\DocumentsLeft;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Releases\Models\Handover;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;

/** What a change needs of a person now, as it stands: in words, or null for nothing. */
final readonly class Needs
{
    public static function ofReport(ProblemReport $report, Person $person): ?string
    {
        return match (true) {
            $report->state === ReportState::Open && $person->mayDo(Ability::AssessRequest, $report->number) => 'Take in',
            $report->state === ReportState::Returned && $report->raised_by === $person->id => 'Answer what was asked',
            default => null,
        };
    }

    public static function ofRequest(ChangeRequest $request, Person $person): ?string
    {
        return match (true) {
            $request->state === RequestState::Raised && $person->mayDo(Ability::AssessRequest, $request->number) => 'Assess',
            $request->state === RequestState::Assessing && $request->path_id !== null => $request->actors->contains('id', $person->id)
                ? 'Read and sign'
                : null,
            $request->state === RequestState::Assessing && $person->mayDo(Ability::DecideRequest, $request->number) => 'Decide',
            $request->state === RequestState::Returned && $request->raised_by === $person->id => 'Answer what was asked',
            $request->state === RequestState::Approved && $person->mayDo(Ability::RaiseOrder, $request->number) => 'Turn into an order',
            default => null,
        };
    }

    /**
     * @param  Collection<int, Handover>  $handovers  of the order
     * @param  ?DocumentsLeft  $left  in planning that name what it replaced; null: none
     */
    public static function ofOrder(
        ChangeOrder $order,
        Collection $handovers,
        UndoneTasks $undone,
        ?DocumentsLeft $left,
        Person $person,
    ): ?string {
        if ($order->on_hold_since !== null) {
            return $person->mayDo(Ability::PlanOrder, $order->number) ? 'On hold: let it go on' : null;
        }

        return match (true) {
            $order->state === OrderState::Planning && $person->mayDo(Ability::PlanOrder, $order->number) => 'Plan the order',
            $order->state === OrderState::Revising && $order->editor_id === $person->id => 'Revise',
            $order->state === OrderState::InReview && $order->actors->contains('id', $person->id) => 'Read and sign',
            $order->state === OrderState::Signed &&
                !$order->waitsForParent() &&
                !$undone->holdRelease($order->number) &&
                $person->mayDo(Ability::ReleaseOrder, $order->number)
                => 'Release',
            $order->state === OrderState::Released &&
                $person->mayDo(Ability::SendHandover, $order->number) &&
                $handovers->whereNotIn('state', ['taken', 'waiting'])->isNotEmpty()
                => 'Resolve rejected hand-over lines',
            $order->state === OrderState::Released && $left !== null && $left->mine > 0 => "See to {$left->mine} documents in planning",
            $order->state === OrderState::Released &&
                $left !== null &&
                $left->open > 0 &&
                $person->mayDo(Ability::SeeToDocuments, $order->number) &&
                $person->mayDo(Ability::CloseOrder, $order->number)
                => "Decide on {$left->open} documents in planning",
            $order->state === OrderState::Released &&
                $person->mayDo(Ability::CloseOrder, $order->number) &&
                !$undone->has($order->number) &&
                $left === null &&
                $handovers->where('state', '!=', 'taken')->isEmpty()
                => 'Close',
            default => null,
        };
    }
}
