<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\People\Models\Person;
use App\Requests\Events\RequestRaised;
use App\Requests\Events\RequestSplit;
use App\Requests\Models\ChangeRequest;
use App\Structures\NamedItems;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Makes a second request of part of one: some of its items move to the new one, reports may belong to both. */
final readonly class SplitRequest
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger) {}

    /**
     * @param  list<string>  $items  numbers of those that move
     * @param  list<string>  $reports  numbers of those that the new one answers as well
     */
    public function __invoke(Person $by, string $number, string $title, array $items, array $reports, int $version): ChangeRequest
    {
        return $this->ledger->together(function () use ($by, $number, $title, $items, $reports, $version): ChangeRequest {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if (!$request->state->isAssessed()) {
                throw Refusal::at('request', "{$number} is not being assessed.");
            }
            $move = NamedItems::ids($items);
            if (array_diff($move, $request->items->modelKeys()) !== []) {
                throw Refusal::at('items', 'Name items of this request.');
            }
            if (count($move) === $request->items->count()) {
                throw Refusal::at('items', 'At least one item stays.');
            }
            $unknown = array_diff($reports, $request->reports->pluck('number')->all());
            if ($unknown !== []) {
                throw Refusal::at('reports', implode(', ', $unknown) . ' does not belong to this request.');
            }
            $new = ChangeRequest::query()->create([
                'number' => $this->numbers->next('request'),
                'title' => $title,
                'reason' => $request->reason,
                'source' => $request->source,
                'site' => $request->site,
                'priority' => $request->priority,
                'description' => "Split from {$number}.\n\n{$request->description}",
                'raised_by' => $request->raised_by,
                'raised_at' => CarbonImmutable::now(),
                'split_from_id' => $request->id,
            ]);
            $new->items()->attach($move);
            $new->reports()->attach($request->reports->whereIn('number', $reports)->modelKeys());
            $request->items()->detach($move);
            $request->update(['version' => $version + 1]);
            event(new RequestSplit($by->login, $number, $new->number, $items));
            event(new RequestRaised($by->login, $new->number, $title, $items, $number));

            return $new->refresh();
        });
    }
}
