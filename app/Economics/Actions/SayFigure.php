<?php

declare(strict_types=1);

namespace App\Economics\Actions;

use App\Changes\Models\ChangeRequest;
use App\Economics\FigureKind;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Says a figure in place of what is computed, with a reason; and takes it back. */
final readonly class SayFigure
{
    public function __construct(private Ledger $ledger) {}

    /** @param  ?int  $amount  ten-thousandths; of a demand millionths */
    public function say(Person $by, string $number, FigureKind $kind, string $subject, ?string $choice, ?int $amount, string $reason): void
    {
        DB::transaction(function () use ($by, $number, $kind, $subject, $choice, $amount, $reason): void {
            $request = self::open($number);
            DB::table('figures')->upsert([[
                'request_id' => $request->id, 'kind' => $kind->value, 'subject' => $subject, 'choice' => $choice, 'amount' => $amount, 'reason' => $reason, 'person_id' => $by->id, 'set_at' => CarbonImmutable::now(),
            ]], ['request_id', 'kind', 'subject']);
            $this->ledger->record($by->login, 'figure.said', $number, ['kind' => $kind->value, 'subject' => $subject, 'choice' => $choice, 'amount' => $amount, 'reason' => $reason]);
        });
    }

    public function takeBack(Person $by, string $number, int $id): void
    {
        DB::transaction(function () use ($by, $number, $id): void {
            $request = self::open($number);
            $figure = DB::table('figures')->where('request_id', $request->id)->where('id', $id)->first() ?? throw Refusal::at('figure', 'It was taken back already.');
            DB::table('figures')->where('id', $id)->delete();
            $this->ledger->record($by->login, 'figure.taken_back', $number, ['kind' => $figure->kind, 'subject' => $figure->subject]);
        });
    }

    private static function open(string $number): ChangeRequest
    {
        $request = ChangeRequest::hold($number);

        return $request->state->isOpen() ? $request : throw Refusal::at('request', "{$number} is closed.");
    }
}
