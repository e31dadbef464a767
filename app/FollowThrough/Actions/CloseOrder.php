<?php

declare(strict_types=1);

namespace App\FollowThrough\Actions;

use App\FollowThrough\Models\OldDocument;
use App\Orders\Actions\MoveOrder;
use App\Orders\Events\CheckWaived;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use App\Tasks\Models\ChangeTask;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/**
 * Closes an order when planning has taken all of it and has it as it was released, and nothing is left to do. What still names the old in
 * planning, or differs there, somebody may let go, with a reason that is on record.
 */
final readonly class CloseOrder
{
    /** Stands in the ledger where nobody has closed it. */
    public const ITSELF = 'orthotaxis';

    public function __construct(private MoveOrder $orders) {}

    /** @param  string  $reason  why what is still open in planning is let go; empty: it is not */
    public function __invoke(Person $by, string $number, int $version, string $reason = ''): void
    {
        $this->orders->close($by->login, $number, $version, static function (ChangeOrder $order) use ($by, $reason): void {
            self::mustBeDone($order);
            foreach (self::leftInPlanning($order) as $check => $left) {
                if ($reason === '' || !$by->mayDo(Ability::WaiveCheck, $order->number)) {
                    throw Refusal::at('documents', $left);
                }
                event(new CheckWaived($by->login, $order->number, check: $check, fault: $left, reason: $reason));
            }
        });
    }

    /** By itself, when nothing is left at all, and that has been seen since planning answered. */
    public function byItself(ChangeOrder $order): void
    {
        $this->orders->close(self::ITSELF, $order->number, $order->version, static function (ChangeOrder $order): void {
            self::mustBeDone($order);
            foreach (self::leftInPlanning($order) as $left) {
                throw Refusal::at('documents', $left);
            }
            if (!self::isSeen($order)) {
                throw Refusal::at('planning', 'Planning has not been read since.');
            }
        });
    }

    /** @throws Refusal */
    private static function mustBeDone(ChangeOrder $order): void
    {
        $open = Handover::released($order->id)->where('state', '!=', 'taken')->orderBy('id')->pluck('name');
        if ($open->isNotEmpty()) {
            throw Refusal::at('handover', "Planning has not accepted all of {$open->implode(', ')}.");
        }
        $tasks = ChangeTask::openOf($order->number)->orderBy('id')->pluck('number');
        if ($tasks->isNotEmpty()) {
            throw Refusal::at('tasks', "Not done yet: {$tasks->implode(', ')}.");
        }
    }

    /** @return array<string, string> what somebody may let go with a reason, by check */
    private static function leftInPlanning(ChangeOrder $order): array
    {
        return array_filter([
            'planning_copy' => PlanningDifference::leftOf($order->id),
            'old_documents' => OldDocument::leftOf($order->id),
        ]);
    }

    /** Whether planning's copy and its documents were read after it answered last. */
    private static function isSeen(ChangeOrder $order): bool
    {
        $answered = Handover::released($order->id)->max('answered_at');
        $verified = Verification::query()->where('order_id', $order->id)->orderByDesc('id')->first();
        $read = DB::table('old_document_readings')->where('order_id', $order->id)->where('fault', '')->value('read_at');

        return is_string($answered) &&
            $verified?->state === VerificationState::Done &&
            $verified->asked_at->greaterThanOrEqualTo(CarbonImmutable::parse($answered)) &&
            is_string($read) &&
            CarbonImmutable::parse($read)->greaterThanOrEqualTo($order->released_at ?? CarbonImmutable::now());
    }
}
