<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Dossier\RequestPaths\JudgeRequest;
use App\Dossier\RequestPaths\RequestContent;
use App\Paths\Actions\SetPath;
use App\Paths\Judges;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Seeder;

/** A path on which requests that are about safety are judged, and one request half way on it: quality has begun, the board is ahead. */
final class RequestPathSeeder extends Seeder
{
    public function run(): void
    {
        $this->path();
        $s = (new ChangeStory())->on(5);
        $request = $s->request(
            'clara.fenn',
            'Fuse of the charger lead rated too high',
            'safety',
            'field',
            'Tarn',
            'high',
            'A partner measured 40 °C at the plug before the 15 A fuse went. 10 A would do for every battery we ship.',
            ['400-0001'],
        );
        $s->on(3)->assess($request, 'The lead carries 12 A. A 10 A fuse holds at the highest charge of 8 A. Nothing else changes.');
        $this->sign($s->on(2), $request, 'omar.reyes', 'Measured again here: 38 °C.');
        $this->sign($s->on(1), $request, 'tomas.lind', '');
        $s->backToToday();
    }

    private function path(): void
    {
        app(SetPath::class)(
            self::person('ivo.tanner'),
            'safety',
            [
                'name' => 'Requests about safety',
                'judges' => Judges::Requests,
                'steps' => [
                    self::step('Quality', 1, ['group:quality'], needed: 2, meaning: 'reviewed', password: false, dueDays: 2),
                    self::step('Production', 1, ['role:planner'], meaning: 'reviewed', password: false, dueDays: 3),
                    self::step('Change board', 2, ['group:board'], needed: 0, dueDays: 5, checks: ['Users are warned in the meantime']),
                ],
                'tasks' => [
                    [
                        'stage' => 1,
                        'kind' => 'other',
                        'title' => 'Assess the risk in the field',
                        'to' => 'group:quality',
                        'holds' => true,
                        'due_days' => 3,
                        'checks' => ['How many are out there', 'What can happen'],
                        'edits' => [],
                    ],
                ],
                'sends_itself' => false,
                'chosen_when' => [['fact' => 'reason', 'values' => ['safety']]],
                'rank' => 1,
                'retired' => false,
            ],
            version: null,
        );
    }

    private function sign(ChangeStory $day, string $request, string $by, string $reason): void
    {
        $digest = app(RequestContent::class)->digest(ChangeRequest::query()->where('number', $request)->firstOrFail());
        app(JudgeRequest::class)->sign(self::person($by), $request, password: '', digest: $digest, step: null, ticked: [], reason: $reason);
    }

    /**
     * @param  list<string>  $who
     * @param  list<string>  $checks
     * @return array<string, mixed>
     */
    private static function step(
        string $name,
        int $stage,
        array $who,
        int $needed = 1,
        string $meaning = 'approved',
        bool $password = true,
        ?int $dueDays = null,
        array $checks = [],
    ): array {
        return [
            'name' => $name,
            'stage' => $stage,
            'who' => $who,
            'needed' => $needed,
            'meaning' => $meaning,
            'with_password' => $password,
            'due_days' => $dueDays,
            'conditions' => [],
            'back_to' => $stage === 1 ? [0] : [0, 1],
            'checks' => $checks,
            'remind_days' => 1,
            'escalate_days' => 1,
        ];
    }

    private static function person(string $login): Person
    {
        return Person::query()->where('login', $login)->firstOrFail();
    }
}
