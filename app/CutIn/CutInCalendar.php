<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Models\CutIn;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VCalendar;

/** What has to be done by when for a chosen day, as whole days of a calendar (RFC 5545). */
final readonly class CutInCalendar
{
    public static function of(CutIn $chosen, string $request, string $address): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Orthotaxis//Cut-in//EN']);
        foreach ($chosen->to_do as $at => $one) {
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
                'SUMMARY' => "{$request}: " . $one['what'] . ($about === '' ? '' : " ({$about})"),
                'URL' => $address,
            ]);
            $event->add('DTSTART', $day, ['VALUE' => 'DATE']);
            $event->add('DTEND', $day->addDay(), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return (string) $calendar->serialize();
    }
}
