<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Notices\Data\CalendarAddress;
use App\Notices\PersonalCalendar;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** A calendar to subscribe to: its address is a secret, which is kept as a digest only, told once, and withdrawn at any time. */
final class CalendarController
{
    private const BYTES = 24;

    #[OA\Get(path: '/api/calendar', operationId: 'calendar', tags: ['notices'])]
    #[Ok(CalendarAddress::class), Refused]
    public function show(#[CurrentUser] Person $person): JsonResponse
    {
        $made = DB::table('calendar_keys')->where('person_id', $person->id)->value('made_at');

        return new JsonResponse(
            new CalendarAddress($made === null ? null : CarbonImmutable::parse((string) $made)->toIso8601String(), null),
        );
    }

    /** Another one takes the place of the one before. */
    #[OA\Post(path: '/api/calendar', operationId: 'makeCalendar', tags: ['notices'])]
    #[Ok(CalendarAddress::class), Refused]
    public function make(#[CurrentUser] Person $person): JsonResponse
    {
        $key = bin2hex(random_bytes(self::BYTES));
        $now = CarbonImmutable::now();
        DB::table('calendar_keys')->upsert(
            ['person_id' => $person->id, 'key_hash' => self::digest($key), 'made_at' => $now],
            ['person_id'],
            ['key_hash', 'made_at'],
        );

        return new JsonResponse(new CalendarAddress($now->toIso8601String(), url("/calendar/{$key}.ics")));
    }

    #[OA\Delete(path: '/api/calendar', operationId: 'withdrawCalendar', tags: ['notices'])]
    #[Ok(CalendarAddress::class), Refused]
    public function withdraw(#[CurrentUser] Person $person): JsonResponse
    {
        DB::table('calendar_keys')->where('person_id', $person->id)->delete();

        return $this->show($person);
    }

    /** For a calendar program, which has nothing but the address. */
    public function read(string $key): Response
    {
        $person = Person::query()
            ->where('active', true)
            ->whereIn('id', DB::table('calendar_keys')->where('key_hash', self::digest($key))->select('person_id'))
            ->first();

        return $person === null
            ? new Response('There is no such calendar.', 404, ['Content-Type' => 'text/plain; charset=utf-8'])
            : new Response(PersonalCalendar::of($person), 200, [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Cache-Control' => 'private, no-store',
            ]);
    }

    private static function digest(string $key): string
    {
        return hash('sha256', $key);
    }
}
