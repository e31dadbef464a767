<?php

declare(strict_types=1);

namespace App\CutIn\Actions;

use App\CutIn\CutInReader;
use App\CutIn\Data\CutInPage;
use App\CutIn\Events\CutInChosen;
use App\CutIn\Models\CutIn;
use App\CutIn\OutcomeReader;
use App\CutIn\ToDoReader;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Saves the day chosen for a request with its reasons, and what the plan said of it at that moment. */
final readonly class ChooseCutIn
{
    public function __construct(
        private CutInReader $reader,
        private ToDoReader $toDo,
        private OutcomeReader $outcomes,
        private Ledger $ledger,
    ) {}

    /**
     * @param  array<string, mixed>  $question
     * @param  array<string, string>  $atPlants  days of plants that cut in on another
     */
    public function __invoke(Person $by, string $number, array $question, string $on, string $reason, array $atPlants = []): void
    {
        $page = $this->reader->plan($question);
        $day =
            array_values(array_filter($page->days, static fn($day): bool => $day->on === $on))[0] ??
            throw Refusal::at('chosen_on', 'Choose a day within the planning horizon.');
        $earliest = $page->best->earliest;
        if (!$day->possible) {
            throw Refusal::at(
                'chosen_on',
                match (true) {
                    $earliest === null => 'No day is possible with these levers.',
                    $on < $earliest => "The earliest possible day is {$earliest}.",
                    default => 'It is no working day, or a part would be missing from it on.',
                },
            );
        }
        self::checkPlants($page, $atPlants);
        $toDo = $this->toDo->list($question, Day::parse($on));
        $planned = $this->outcomes->planned($question, $on, $atPlants);
        $days = array_map(
            static fn(string $plant, string $day): array => ['plant' => $plant, 'on' => $day],
            array_map(strval(...), array_keys($atPlants)),
            array_values($atPlants),
        );
        $this->ledger->together(function () use (
            $by,
            $number,
            $question,
            $on,
            $reason,
            $page,
            $day,
            $earliest,
            $toDo,
            $planned,
            $days,
        ): void {
            $request = ChangeRequest::query()->where('number', $number)->lockForUpdate()->firstOrFail();
            if (!$request->state->isAssessed() && $request->state !== RequestState::Approved) {
                throw Refusal::at('request', "A day is chosen while {$number} is being assessed or waits for its order.");
            }
            CutIn::query()->create([
                'request_id' => $request->id,
                'asked' => $question,
                'chosen_on' => $on,
                'to_do' => $toDo,
                'planned' => $planned,
                'at_plants' => $days,
                'reason' => $reason,
                'person_id' => $by->id,
                'chosen_at' => CarbonImmutable::now(),
                'found' => [
                    'total' => $day->total,
                    'least_cost' => $page->best->least_cost,
                    'least_disturbing' => $page->best->least_disturbing,
                    'earliest' => $earliest,
                    'run_out' => $page->run_out,
                ],
            ]);
            event(new CutInChosen($by->login, $number, $on, $day->total, $reason));
        });
    }

    /** @param  array<string, string>  $days  by plant */
    private static function checkPlants(CutInPage $page, array $days): void
    {
        $dates = array_flip(array_column($page->days, 'on'));
        $plants = array_column($page->plants, null, 'plant');
        $at = 0;
        foreach ($days as $plant => $on) {
            $known = $plants[$plant] ?? throw Refusal::at("at_plants.{$at}.plant", "Nothing is swapped at {$plant}.");
            if (!isset($dates[$on]) || !$known->possible[$dates[$on]]) {
                throw Refusal::at("at_plants.{$at}.on", "{$plant} cannot cut in on that day.");
            }
            $at++;
        }
    }
}
