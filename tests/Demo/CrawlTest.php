<?php

declare(strict_types=1);

use App\People\Ability;
use App\People\Models\Person;
use App\People\ShippedRole;
use Illuminate\Routing\Route as RouteOf;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Route;
use Tests\Demo\Records;

/*
 * Every GET route of the API, for every record of the demo that it takes: no page may break, and none may ask the database
 * more than its budget. As the coordinator all records are visited; as everybody else one record of each kind in each state,
 * since what a role changes in an answer is what it may do, never which records there are.
 */

beforeEach(fn() => Http::allowStrayRequests(null));

/** Queries that one answer may take, whatever the record; what is not named has the first. */
const BUDGET = [
    '' => 14,
    'api/desk' => 29,
    'api/tasks/{number}' => 22,
    'api/meeting' => 14,
    'api/dossiers/{number}' => 90,
    'api/orders/{number}/review' => 94,
    'api/orders/{number}/consequences' => 66,
    'api/orders/{number}/belongings' => 66,
    'api/changes' => 15,
    'api/orders/{number}/replacement' => 28,
    'api/orders/{number}/transfer' => 26,
    'api/files/{id}/marks' => 45,
    'api/orders/{number}/worksheet' => 20,
    'api/orders/{number}/worksheet/{format}' => 22,
    'api/orders/{number}/data' => 45,
    'api/orders/{number}/items/{item}/data' => 45,
    'api/items/{number}/accountability' => 50,
    'api/routing-comparison' => 24,
    'api/orders/{number}/accountability' => 44,
    'api/orders/{number}/items/{item}/plants/{plant}/redline' => 54,
    'api/orders/{number}/items/{item}/plants/{plant}/sheet/{format}' => 38,
    'api/orders/{number}/items/{item}/works/{work}/newer' => 20,
    'api/items/{number}/built-cost' => 16,
    'api/orders/{number}/items/{item}/redline' => 43,
    'api/orders/{number}/items/{item}/sheet/{format}' => 37,
    'api/items/{number}' => 20,
    'api/items/{number}/structure' => 44,
    'api/items/{number}/planned-uses' => 40,
    'api/items/{number}/older-uses' => 20,
    'api/requests/{number}/reach' => 40,
    'api/requests/{number}/reach-picture' => 40,
    'api/requests/{number}/money' => 68,
    'api/requests/{number}/cut-in' => 40,
    'api/requests/{number}/questions' => 24,
    'api/requests/{number}/forms' => 24,
    'api/reports/{number}' => 30,
    'api/exposure' => 20,
    'api/items/{number}/structure/{format}' => 30,
    'api/comparison' => 30,
    'api/comparison/{format}' => 30,
    'api/catalogue/{format}' => 14,
];

/** @return array<string, RouteOf> by address */
function routesToRead(): array
{
    $routes = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true) && str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/{rest}') {
            $routes[$route->uri()] = $route;
        }
    }

    return $routes;
}

/** Everybody reads everything, but for what is of those alone who manage people, read the whole ledger, or connect systems. */
function mayRead(Person $person, string $route): bool
{
    $asked = routesToRead()[$route]->gatherMiddleware();
    foreach ([Ability::ManagePeople, Ability::ReadLedger, Ability::ConnectSystems] as $ability) {
        if (in_array($ability->gate(), $asked, true) && !$person->mayDo($ability)) {
            return false;
        }
    }

    return true;
}

/**
 * @param  iterable<string, list<string>>  $addresses  route => addresses
 * @return list<string> what is wrong
 */
function crawl(mixed $test, Person $person, iterable $addresses): array
{
    $wrong = [];
    $test->actingAs($person);
    $queries = 0;
    DB::listen(static function () use (&$queries): void {
        $queries++;
    });
    foreach ($addresses as $route => $some) {
        if (!mayRead($person, $route)) {
            foreach ($some as $address) {
                $test->getJson($address)->assertForbidden();
            }

            continue;
        }
        foreach ($some as $address) {
            $queries = 0;
            $answer = $test->get($address, ['Accept' => 'application/json']);
            $status = $answer->getStatusCode();
            if ($status >= 400) {
                $wrong[] = "{$person->login} {$address}: {$status} " . mb_substr((string) $answer->getContent(), 0, 160);
            } elseif ($queries > (BUDGET[$route] ?? BUDGET[''])) {
                $wrong[] = "{$person->login} {$address}: {$queries} queries";
            }
        }
    }

    return $wrong;
}

it('knows an address for every route that is read', function (): void {
    expect(array_keys(array_diff_key(routesToRead(), (new Records())->addresses())))->toBe([]);
});

it('answers every address for every record, within its queries', function (): void {
    $addresses = (new Records())->addresses();
    expect(array_sum(array_map(count(...), $addresses)))
        ->toBeGreaterThan(2_000)
        ->and(crawl($this, Person::query()->where('login', 'mira.okafor')->firstOrFail(), $addresses))
        ->toBe([]);
});

it('answers every role, for records of every kind in every state', function (ShippedRole $role): void {
    $person = Person::query()->whereJsonContains('roles', $role->value)->firstOrFail();
    $addresses = (new Records())->addresses(everyState: true);
    // A file says the same to whoever may read it; the one who may least stands for all.
    $files = array_filter($addresses, static fn(string $route): bool => str_ends_with($route, '{format}'), ARRAY_FILTER_USE_KEY);
    expect(crawl($this, $person, $role === ShippedRole::Viewer ? $addresses : array_diff_key($addresses, $files)))->toBe([]);
})->with(array_filter(ShippedRole::cases(), static fn(ShippedRole $role): bool => $role !== ShippedRole::Coordinator));

it('has a record of every state there is', function (): void {
    expect((new Records())->missingStates())->toBe([]);
});
