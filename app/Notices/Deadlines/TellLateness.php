<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\Days\OfficeDays;
use App\Days\Today;
use App\Notices\ToldAct;
use App\Notices\WriteNotice;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Lateness;

/** Tells of everything that is due soon, overdue, or overdue for days; once each, whoever runs it at the same time. */
final readonly class TellLateness
{
    public function __construct(
        private PathSteps $steps,
        private Tasks $tasks,
        private Questions $questions,
        private Acknowledgements $acknowledgements,
    ) {}

    /** @return int how many matters somebody was told of */
    public function tell(): int
    {
        $today = Today::day();
        $active = Person::query()->where('active', true)->pluck('id')->flip();
        $told = 0;
        foreach ([$this->steps, $this->tasks, $this->questions, $this->acknowledgements] as $kind) {
            foreach ($kind->waiting() as $matter) {
                foreach (Lateness::on($today, $matter->due, OfficeDays::calendar(), $matter->remind, $matter->escalate) as $stage) {
                    $people = array_values(array_filter(self::people($matter, $stage), $active->has(...)));
                    $told += $people !== [] && $this->once($matter, $stage, $people) ? 1 : 0;
                }
            }
        }

        return $told;
    }

    /**
     * Where nobody can do it, those are told to whom it goes in the end.
     *
     * @return list<int>
     */
    private static function people(Matter $matter, Lateness $stage): array
    {
        return $stage === Lateness::Escalated || $matter->people === []
            ? array_values(array_unique($matter->escalateTo))
            : array_values(array_unique($matter->people));
    }

    /** @param  non-empty-list<int>  $people */
    private function once(Matter $matter, Lateness $stage, array $people): bool
    {
        return DB::transaction(static function () use ($matter, $stage, $people): bool {
            $isNew = DB::table('deadlines_told')->insertOrIgnore([
                'matter' => $matter->key,
                'due_on' => (string) $matter->due,
                'stage' => $stage->value,
                'told_at' => CarbonImmutable::now(),
            ]);
            if ($isNew === 0) {
                return false;
            }
            WriteNotice::write(
                match ($stage) {
                    Lateness::Near => ToldAct::DueSoon,
                    Lateness::Overdue => ToldAct::Overdue,
                    Lateness::Escalated => ToldAct::Escalated,
                },
                $matter->change,
                path: $matter->path,
                title: $matter->title,
                about: "{$matter->called}, due {$matter->due->spelled()}",
                actor: WriteNotice::BY_ITSELF,
                people: array_fill_keys($people, Cause::ToDo),
            );

            return true;
        });
    }
}
