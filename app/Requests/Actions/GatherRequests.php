<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Events\RequestGathered;
use App\Requests\Events\RequestsGathered;
use App\Requests\Events\RequestTakenApart;
use App\Requests\Models\ChangeRequest;
use App\Vocabulary\Priority;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Makes one request of several. All they say is carried into it; they stay readable and can be taken out again. */
final readonly class GatherRequests
{
    public function __construct(private Ledger $ledger) {}

    /** @param  list<string>  $others  numbers */
    public function into(Person $by, string $number, array $others, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $others, $version): void {
            // All in one order, so that two who gather at once take turns.
            $held = ChangeRequest::query()
                ->whereIn('number', [$number, ...$others])
                ->orderBy('id')
                ->lockForUpdate()
                ->get()
                ->keyBy('number');
            $request = $held->get($number) ?? ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if (!$request->state->isAssessed()) {
                throw Refusal::at('requests', "{$number} is not being assessed.");
            }
            $text = $request->description;
            $priority = Priority::from($request->priority);
            foreach ($others as $name) {
                $other = $held->get($name) ?? throw Refusal::at('requests', "There is no request {$name}.");
                if ($other->id === $request->id) {
                    throw Refusal::at('requests', 'A request cannot be gathered into itself.');
                }
                if (!$other->state->mayBecome(RequestState::Gathered)) {
                    throw Refusal::at('requests', "{$name} is decided already.");
                }
                $text .= "\n\nFrom {$name}, {$other->title}: {$other->description}";
                $priority = Priority::from($other->priority)->rank() < $priority->rank() ? Priority::from($other->priority) : $priority;
                $request->items()->syncWithoutDetaching($other->items()->pluck('items.id')->all());
                $request->reports()->syncWithoutDetaching($other->reports()->pluck('problem_reports.id')->all());
                // What was gathered into the other one comes along; so nothing has to be looked for in two steps.
                ChangeRequest::query()
                    ->where('gathered_into_id', $other->id)
                    ->update(['gathered_into_id' => $request->id]);
                $other->update(['state' => RequestState::Gathered, 'gathered_into_id' => $request->id, 'version' => $other->version + 1]);
                event(new RequestGathered($by->login, $name, $number));
            }
            $request->update(['description' => $text, 'priority' => $priority->value, 'version' => $version + 1]);
            event(new RequestsGathered($by->login, $number, $others));
        });
    }

    /**
     * Takes a gathered request out again; it is assessed anew by itself. What it brought, reports too, stays in the other one until it
     * is taken out there.
     */
    public function apart(Person $by, string $number, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if ($request->state !== RequestState::Gathered) {
                throw Refusal::at('request', "{$number} is not gathered into another one.");
            }
            $into = $request->gatheredInto;
            $request->update(['state' => RequestState::Raised, 'gathered_into_id' => null, 'version' => $version + 1]);
            event(new RequestTakenApart($by->login, $number, $into?->number));
        });
    }
}
