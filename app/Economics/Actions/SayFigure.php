<?php

declare(strict_types=1);

namespace App\Economics\Actions;

use App\Assessment\Models\Question;
use App\Economics\Events\FigureSaid;
use App\Economics\Events\FigureTakenBack;
use App\Economics\FigureKind;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Refusal;

/** Says a figure in place of what is computed, with a reason; and takes it back. */
final readonly class SayFigure
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  ?int  $amount  ten-thousandths; of a demand millionths
     * @param  int  $seen  id of what was said on screen; 0 when nothing was
     *
     * @throws Stale when somebody else said it otherwise meanwhile
     */
    public function say(
        Person $by,
        string $number,
        FigureKind $kind,
        string $subject,
        ?string $choice,
        ?int $amount,
        string $reason,
        int $seen = 0,
    ): void {
        $this->ledger->together(function () use ($by, $number, $kind, $subject, $choice, $amount, $reason, $seen): void {
            $request = self::open($number);
            self::mustBeOf($request, $kind, $subject);
            $said = DB::table('figures as f')
                ->join('people as p', 'p.id', '=', 'f.person_id')
                ->where(['request_id' => $request->id, 'kind' => $kind->value, 'subject' => $subject])
                ->first(['f.id', 'p.name', 'person_id', 'reason']);
            if ($said !== null && $said->person_id !== $by->id && $said->id !== $seen) {
                throw new Stale("{$said->name} said it meanwhile: {$said->reason} Yours was not saved; look at both.", [
                    'reason' => $said->reason,
                ]);
            }
            // Another row and not the same changed: whoever has seen the old one has not seen this one.
            DB::table('figures')
                ->where('id', $said->id ?? 0)
                ->delete();
            DB::table('figures')->insert([
                'request_id' => $request->id,
                'kind' => $kind->value,
                'subject' => $subject,
                'choice' => $choice,
                'amount' => $amount,
                'reason' => $reason,
                'person_id' => $by->id,
                'set_at' => CarbonImmutable::now(),
            ]);
            event(
                new FigureSaid(
                    $by->login,
                    $number,
                    kind: $kind->value,
                    subject: $subject,
                    choice: $choice,
                    amount: $amount,
                    reason: $reason,
                ),
            );
        });
    }

    public function takeBack(Person $by, string $number, int $id): void
    {
        $this->ledger->together(function () use ($by, $number, $id): void {
            $request = self::open($number);
            $figure =
                DB::table('figures')->where('request_id', $request->id)->where('id', $id)->first() ??
                throw Refusal::at('figure', 'It was undone already.');
            DB::table('figures')->where('id', $id)->delete();
            event(new FigureTakenBack($by->login, $number, $figure->kind, $figure->subject));
        });
    }

    /** @throws Refusal when the figure would count nowhere */
    private static function mustBeOf(ChangeRequest $request, FigureKind $kind, string $subject): void
    {
        [$item, $supply] = [...explode(' ', $subject, 2), ''];
        $known = match ($kind) {
            FigureKind::Disposition => in_array(SupplyKind::tryFrom($supply), DispositionCost::kinds(), true) &&
                $request->items->contains('number', $item),
            FigureKind::Recurring => $request->items->contains('number', $subject),
            FigureKind::Demand => Item::query()->where('number', $subject)->where('sold', true)->exists(),
            FigureKind::Answered => ctype_digit($subject) &&
                Question::query()
                    ->where('request_id', $request->id)
                    ->where('state', 'answered')
                    ->whereNotNull('one_time')
                    ->whereKey((int) $subject)
                    ->exists(),
            FigureKind::OneTime => true,
        };
        if (!$known) {
            throw Refusal::at(
                'subject',
                match ($kind) {
                    FigureKind::Demand => "There is no product {$subject}.",
                    FigureKind::Answered => 'No specialist of this request answered that with an amount.',
                    default => "{$subject} is not affected by {$request->number}.",
                },
            );
        }
    }

    private static function open(string $number): ChangeRequest
    {
        $request = ChangeRequest::hold($number);

        return $request->state->isOpen() ? $request : throw Refusal::at('request', "{$number} is closed.");
    }
}
