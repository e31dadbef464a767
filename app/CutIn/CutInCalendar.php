<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Models\CutIn;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\CutIn\ToDoKind;
use Sabre\VObject\Component\VCalendar;

/** What has to be done by when for a chosen day, as whole days of a calendar (RFC 5545). */
final readonly class CutInCalendar
{
    private const WHAT = [
        'release' => 'Release the change',
        'tooling' => 'Tools and programs ready',
        'order' => 'Order the new part',
        'last_order' => 'Last order of the old part',
        'hurry' => 'Expedite',
        'cancel' => 'Cancel',
        'ask' => 'Ask for a date, overdue',
        'see_to' => 'In progress on the day, rework or split',
        'wait' => 'Begin with the new part',
        'cut_in' => 'Cut in',
    ];

    public static function of(CutIn $chosen, string $request, string $address): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Orthotaxis//Cut-in//EN']);
        foreach ($chosen->to_do as $at => $one) {
            $kind = ToDoKind::from($one['kind']);
            $about = implode(
                ' ',
                array_filter([
                    $one['document'],
                    $one['item'],
                    $one['quantity'] === '' ? '' : "{$one['quantity']} {$one['unit']}",
                    $one['plant'] === '' ? '' : "at {$one['plant']}",
                ]),
            );
            $day = CarbonImmutable::parse($one['by']);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "cut-in-{$chosen->id}-{$at}@orthotaxis",
                'DTSTAMP' => $chosen->chosen_at->utc(),
                'SUMMARY' => "{$request}: " . self::WHAT[$kind->value] . ($about === '' ? '' : " ({$about})"),
                'URL' => $address,
            ]);
            $event->add('DTSTART', $day, ['VALUE' => 'DATE']);
            $event->add('DTEND', $day->addDay(), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return (string) $calendar->serialize();
    }
}
