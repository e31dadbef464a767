<?php

declare(strict_types=1);

namespace App\CutIn;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\Quantity\Money;

/** Reads what people turn, and puts on record what they leave. */
final readonly class LeverReader
{
    /** @param  array<string, mixed>  $question  as CutInQuestion checks it */
    public static function read(array $question, Assumed $assumed, Day $today): Levers
    {
        $day = static fn(mixed $on): ?int => is_string($on) && $on !== '' ? Day::parse($on)->number() - $today->number() : null;
        $let = $question['not_cancelled'] ?? [];
        $straddle = $question['per_straddling_order'] ?? null;
        $currency = config()->string('orthotaxis.currency');
        $assumed->add(
            '',
            'Receipts due sooner are not cancelled',
            (string) config()->integer('cut-in.notice_days'),
            'working days',
            'rule',
        );
        $assumed->add('', 'An overdue receipt comes in', (string) config()->integer('cut-in.overdue_days'), 'working days', 'rule');
        $assumed->add('', 'From plant to plant', (string) config()->integer('cut-in.transfer_days'), 'working days', 'rule');

        return new Levers(
            notCancelled: is_array($let) ? array_values(array_filter($let, is_string(...))) : [],
            approvalDays: (int) $assumed->say(
                'approval_days',
                'Until the change is released',
                self::whole($question, 'approval_days'),
                [config()->integer('cut-in.approval_days'), 'rule'],
                'working days',
            ),
            toolingDay: max(0, $day($question['tooling_on'] ?? null) ?? 0),
            atRisk: (bool) ($question['at_risk'] ?? false),
            lateFromStock: (bool) ($question['late_from_stock'] ?? false),
            countsRecurring: match ($question['cost_difference'] ?? null) {
                'counts' => true,
                'ignored' => false,
                default => null,
            },
            perStraddle: Money::parse(
                (string) $assumed->say(
                    'per_straddling_order',
                    'To see to one order in progress',
                    is_string($straddle) && $straddle !== '' ? $straddle : null,
                    [config()->string('cut-in.per_straddling_order'), 'rule'],
                    $currency,
                ),
            ),
            prescribed: $day($question['prescribed_on'] ?? null),
        );
    }

    /** @param  array<string, mixed>  $question */
    public static function whole(array $question, string $name): ?int
    {
        $said = $question[$name] ?? null;

        return is_numeric($said) ? (int) $said : null;
    }
}
