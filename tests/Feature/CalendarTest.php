<?php

declare(strict_types=1);

use App\People\Models\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Feature\Support\World;

/* A calendar to subscribe to, at a private address. */

beforeEach(function (): void {
    config(['mail.default' => 'array']);
    $this->world = new World($this);
    $this->address = fn(string $who): string => (string) parse_url(
        (string) $this->world->only($who, 'POST', '/calendar')->assertOk()->json('address'),
        PHP_URL_PATH,
    );
    // As a calendar program asks, which nobody is signed in to.
    $this->read = function (string $address): TestResponse {
        auth()->forgetGuards();

        return $this->get($address);
    };
    $this->days = function (string $address): array {
        $read = ($this->read)($address)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $calendar = Reader::read($read->getContent());
        assert($calendar instanceof VCalendar);
        expect($calendar->validate())->toBe([]);
        $days = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $days[(string) $event->SUMMARY] = (string) $event->DTSTART;
        }

        return $days;
    };
});

it('has the tasks and questions that are due, and the orders that become effective, of one person', function (): void {
    $order = $this->world->opened();
    $task = $this->world
        ->only('mira', 'POST', "/changes/{$order}/tasks", [
            'to' => 'helen',
            'kind' => 'drawing',
            'title' => 'Draw the tube; thicker',
            'text' => '',
            'priority' => 'normal',
            'due_on' => World::day(9),
            'checks' => [],
            'waits_for' => [],
        ])
        ->assertOk()
        ->json('number');
    $compact = static fn(int $days): string => str_replace('-', '', World::day($days));
    expect(($this->days)(($this->address)('helen')))
        ->toBe([
            "{$task} due: Draw the tube; thicker" => $compact(9),
            "{$order} effective: Pump tube wears out (planned)" => $compact(30),
        ])
        ->and(($this->days)(($this->address)('edda')))
        ->toBe([]);
    // Whoever watches it has its day too.
    $this->world->only('edda', 'PUT', "/changes/{$order}/watch")->assertOk();
    expect(($this->days)(($this->address)('edda')))->toHaveCount(1);
});

it('is at an address that is told once, replaced, withdrawn, and of no use to who is not active', function (): void {
    $first = ($this->address)('helen');
    $told = $this->world->as('helen', 'GET', '/calendar')->assertOk()->json();
    expect($told['address'])
        ->toBeNull()
        ->and($told['made_at'])
        ->not->toBeNull()
        ->and(
            DB::table('calendar_keys')
                ->where('key_hash', 'like', '%' . substr($first, 10, 20) . '%')
                ->exists(),
        )
        ->toBeFalse();
    $second = ($this->address)('helen');
    ($this->read)($first)->assertNotFound();
    ($this->read)($second)->assertOk();
    Person::query()
        ->where('login', 'helen')
        ->update(['active' => false]);
    ($this->read)($second)->assertNotFound();
    Person::query()
        ->where('login', 'helen')
        ->update(['active' => true]);
    $this->world
        ->only('helen', 'DELETE', '/calendar')
        ->assertOk()
        ->assertExactJson(['made_at' => null, 'address' => null]);
    ($this->read)($second)->assertNotFound();
    ($this->read)('/calendar/' . str_repeat('0', 48) . '.ics')->assertNotFound();
});

it('is not found by trying', function (): void {
    for ($i = 0; $i < 60; $i++) {
        ($this->read)('/calendar/' . str_pad((string) $i, 48, '0') . '.ics')->assertNotFound();
    }
    ($this->read)('/calendar/' . str_repeat('1', 48) . '.ics')->assertTooManyRequests();
});
