<?php

declare(strict_types=1);

namespace App\Releases\Jobs;

use App\Ledger\Ledger;
use App\Planning\Actions\IntroduceItems;
use App\Planning\PlanningGateway;
use App\Planning\PlanningSilent;
use App\Releases\Events\HandOverAnswered;
use App\Releases\Models\Handover;
use App\Releases\Models\HandoverEntry;
use App\Releases\Models\OutboxMessage;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Handover\Format;

/**
 * Carries one message of the outbox to planning and writes down the answer, entry by entry. At least once: planning knows the name
 * again.
 */
final class DeliverHandover implements ShouldQueue
{
    use Queueable;

    /** Zero is without limit: how often a delivery is tried is counted in the outbox. */
    public int $tries = 0;

    public function __construct(public readonly int $message)
    {
        $this->onQueue('urgent');
    }

    public function handle(PlanningGateway $planning, IntroduceItems $introduce, Ledger $ledger): void
    {
        $message = OutboxMessage::query()
            ->with(['handover.order', 'handover.files', 'handover.entries'])
            ->find($this->message);
        if ($message === null || $message->delivered_at !== null) {
            return;
        }
        $handover = $message->handover;
        try {
            $introduced = $introduce->lacking($this->releasedBy($handover), $handover->names());
            if ($introduced !== []) {
                $handover->update(['introduced' => array_values(array_unique([...$handover->introduced, ...$introduced]))]);
            }
            $answers = $planning->handOver($handover->name, $handover->files->firstOrFail('format', Format::Xml)->content);
        } catch (PlanningSilent $fault) {
            $this->tryLater($message, $fault);

            return;
        }
        $ledger->together(function () use ($message, $answers): void {
            $now = CarbonImmutable::now();
            $message->update(['delivered_at' => $now, 'tries' => $message->tries + 1, 'last_error' => '']);
            $handover = $message->handover;
            self::write($handover, $answers);
            $counts = $handover->entries()->pluck('answer')->countBy();
            $state = match (true) {
                !$counts->has('refused') => 'taken',
                $counts->has('taken') => 'partly_refused',
                default => 'refused',
            };
            $handover->update(['state' => $state, 'answered_at' => $now]);
            event(new HandOverAnswered($handover->subject(), $state, $handover->name, $counts->all()));
        });
    }

    /**
     * Every entry in one statement: there may be tens of thousands.
     *
     * @param  array<int, array{answer: 'taken'|'refused', reason: string}>  $answers  by entry number
     */
    private static function write(Handover $handover, array $answers): void
    {
        $rows = array_map(
            static fn(int $number, array $answer): array => ['number' => $number] + $answer,
            array_keys($answers),
            array_values($answers),
        );
        DB::update(
            "UPDATE handover_entries e SET answer = COALESCE(a.answer, 'refused'), reason = COALESCE(a.reason, 'Planning did not answer this entry.')
            FROM handover_entries all_of LEFT JOIN jsonb_to_recordset(?::jsonb) AS a(number integer, answer text, reason text) ON a.number = all_of.number
            WHERE all_of.handover_id = ? AND e.id = all_of.id",
            [json_encode($rows, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), $handover->id],
        );
    }

    /** The login of whoever released what is handed over. */
    private function releasedBy(Handover $handover): string
    {
        if ($handover->order_id === null) {
            return 'planning';
        }

        return (string) DB::table('contents')
            ->join('people', 'people.id', '=', 'contents.released_by')
            ->where('contents.order_id', $handover->order_id)
            ->value('people.login');
    }

    private function tryLater(OutboxMessage $message, PlanningSilent $fault): void
    {
        $tries = $message->tries + 1;
        /** @var list<int> $pauses */
        $pauses = config('orthotaxis.handover.pauses');
        $pause = $pauses[min($tries, count($pauses)) - 1];
        $message->update([
            'tries' => $tries,
            'last_error' => $fault->getMessage(),
            'due_at' => CarbonImmutable::now()->addSeconds($pause),
        ]);
        // What planning has answered before stays true while it is silent.
        if (HandoverEntry::query()->where('handover_id', $message->handover_id)->where('answer', '!=', 'waiting')->doesntExist()) {
            $message->handover->update(['state' => 'unanswered']);
        }
        if ($tries < config()->integer('orthotaxis.handover.tries')) {
            $this->release($pause);
        }
    }
}
