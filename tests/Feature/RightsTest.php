<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

it('lets nobody in who has not signed in', function (): void {
    foreach (['/desk', '/items', '/dossiers/ECO-00001', '/changes', '/people'] as $path) {
        $this->getJson("/api{$path}")->assertUnauthorized();
    }
    $this->postJson('/api/requests', [])->assertUnauthorized();
});

it('signs in with name and password, and not otherwise', function (): void {
    $this->postJson('/api/session', ['login' => 'mira', 'password' => 'wrong'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('password');
    $this->postJson('/api/session', ['login' => '', 'password' => ''])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['login', 'password']);
    $this->postJson('/api/session', ['login' => 'mira', 'password' => 'secret'])
        ->assertOk()
        ->assertJsonPath('name', 'Mira')
        ->assertJsonPath('roles', ['Coordinator']);
    DB::table('people')
        ->where('login', 'jonas')
        ->update(['active' => false]);
    $this->postJson('/api/session', ['login' => 'jonas', 'password' => 'secret'])->assertStatus(422);
});

it('signs out', function (): void {
    $this->postJson('/api/session', ['login' => 'mira', 'password' => 'secret'])->assertOk();
    $this->deleteJson('/api/session')->assertNoContent();
    $this->app->make('auth')->forgetGuards();
    $this->getJson('/api/session')->assertUnauthorized();
});

it('lets a viewer read everything and change nothing', function (): void {
    $order = $this->world->opened();
    $this->world->as('vera', 'GET', "/dossiers/{$order}")->assertOk();
    foreach (
        [
            ['POST', '/requests'],
            ['POST', '/requests/ECR-00001/answer'],
            ['POST', '/requests/ECR-00001/finding'],
            ['POST', '/requests/ECR-00001/decision'],
            ['POST', '/requests/ECR-00001/order'],
            ['PATCH', "/orders/{$order}"],
            ['PUT', "/orders/{$order}/items/200-0010"],
            ['DELETE', "/orders/{$order}/items/200-0010"],
            ['POST', "/orders/{$order}/opening"],
            ['POST', "/orders/{$order}/review"],
            ['POST', "/orders/{$order}/signature"],
            ['POST', "/orders/{$order}/return"],
            ['POST', "/orders/{$order}/release"],
            ['POST', "/orders/{$order}/closing"],
            ['POST', "/orders/{$order}/withdrawal"],
            ['POST', "/orders/{$order}/items/200-0010/edits"],
            ['POST', "/orders/{$order}/items/200-0010/works/engineering/undo"],
            ['POST', "/orders/{$order}/items/200-0010/works/engineering/redo"],
            ['POST', "/orders/{$order}/items/200-0010/works/engineering/newer"],
            ['POST', '/handovers/x/delivery'],
            ['POST', '/reports'],
            ['POST', '/reports/PR-00001/answer'],
            ['POST', '/reports/PR-00001/return'],
            ['POST', '/reports/PR-00001/reply'],
            ['POST', '/reports/PR-00001/duplicate'],
            ['POST', '/reports/PR-00001/reopening'],
            ['PUT', '/reports/PR-00001/requests/ECR-00001'],
            ['DELETE', '/reports/PR-00001/requests/ECR-00001'],
            ['POST', '/reports/PR-00001/files'],
            ['POST', '/requests/ECR-00001/files'],
            ['POST', '/requests/ECR-00001/gathering'],
            ['POST', '/requests/ECR-00001/apart'],
            ['POST', '/requests/ECR-00001/split'],
            ['POST', '/requests/ECR-00001/reach'],
            ['POST', '/requests/ECR-00001/questions'],
            ['POST', '/questions/1/answer'],
            ['DELETE', '/questions/1'],
            ['POST', '/requests/ECR-00001/figures'],
            ['DELETE', '/requests/ECR-00001/figures/1'],
            ['PUT', '/meeting'],
            ['POST', '/categories'],
            ['POST', '/planning/items'],
            ['PUT', '/plants/Weir'],
            ['POST', '/orders/ECO-00001/items/200-0010/plants/Weir/taken-over'],
            ['POST', '/orders/ECO-00001/items/200-0010/plants/Weir/records'],
            ['POST', '/orders/ECO-00001/items/200-0010/plants/Weir/kits'],
            ['POST', '/orders/ECO-00001/items/200-0010/works/manufacturing:Weir/undo'],
            ['POST', '/orders/ECO-00001/items/200-0010/works/manufacturing:Weir/redo'],
            ['POST', '/orders/ECO-00001/items/200-0010/plants/Weir/edits'],
            ['PUT', '/orders/ECO-00001/items/200-0010/plants/Weir/follow-up'],
            ['DELETE', '/orders/ECO-00001/items/200-0010/plants/Weir/follow-up'],
            ['POST', '/orders/ECO-00001/items/200-0010/data'],
            ['POST', '/orders/ECO-00001/items/200-0010/works/item_data/undo'],
            ['POST', '/orders/ECO-00001/items/200-0010/works/item_data/redo'],
            ['POST', '/orders/ECO-00001/items/200-0010/works/item_data/newer'],
            ['POST', '/orders/ECO-00001/items/200-0010/plants/Weir/sheet'],
            ['POST', '/plants/Weir/work-centres'],
            ['PATCH', '/plants/Weir/work-centres/ASSY-1'],
            ['POST', '/form-templates'],
            ['PATCH', '/form-templates/1'],
            ['POST', '/form-templates/1/file'],
            ['POST', '/requests/ECR-00001/forms'],
            ['POST', '/requests/ECR-00001/returned-form'],
            ['POST', '/requests/ECR-00001/returned-form/taken'],
            ['DELETE', '/forms/F-00001'],
            ['DELETE', '/forms/F-00001/taken'],
        ]
        as [$method, $path]
    ) {
        $this->world->as('vera', $method, $path)->assertForbidden()->assertJsonPath('message', 'Your role does not allow this.');
    }
});

it('lets only the person named on the order edit, and only while it is open for revision', function (): void {
    $order = $this->world->opened();
    $this->world
        ->edit($order, 'change', 20, ['quantity' => '4'], by: 'edda')
        ->assertStatus(422)
        ->assertJsonValidationErrors('editor');
    $this->world->edit($order, 'change', 20, ['quantity' => '4'], by: 'mira')->assertStatus(422);
    $this->world->edit($order, 'change', 20, ['quantity' => '4'], by: 'vera')->assertForbidden();
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
});

it('lets nobody both propose and approve', function (): void {
    $order = $this->world->inReview();
    $digest = $this->world
        ->as('nils', 'GET', "/orders/{$order}/review")
        ->assertJsonPath('may_sign', false)
        ->json('order.digest');
    // Not named on the order.
    $this->world
        ->as('nils', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])
        ->assertStatus(422)
        ->assertJsonValidationErrors('signer');
    // No right at all.
    $this->world->as('jonas', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertForbidden();
    // The right, and named, but the author: even when written past the screen.
    DB::table('change_orders')
        ->where('number', $order)
        ->update(['author_id' => $this->world->people['helen']->id]);
    $this->world
        ->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])
        ->assertStatus(422)
        ->assertJsonValidationErrors('signer');
    expect($this->world->state($order))->toBe('in_review');
});

it('signs with the right password only', function (): void {
    $order = $this->world->inReview();
    $digest = $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world
        ->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'guess', 'digest' => $digest])
        ->assertStatus(422)
        ->assertJsonValidationErrors('password');
    $this->world
        ->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => str_repeat('0', 64)])
        ->assertStatus(422)
        ->assertJsonValidationErrors('order');
    expect(DB::table('signatures')->count())->toBe(0);
    $this->world
        ->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])
        ->assertOk()
        ->assertJsonPath('order.signatures.0.digest', $digest);
});

it('takes a bearer token of a program, with the rights of its person and without a form token', function (): void {
    $token = $this->world->people['vera']->createToken('reporting')->plainTextToken;
    $this->withToken($token)->getJson('/api/desk')->assertOk();
    $this->withToken($token)->postJson('/api/requests', $this->world->request())->assertForbidden();
    $this->artisan('token:issue', ['login' => 'nobody', 'name' => 'x'])->assertFailed();
});

it('holds everything still in review', function (): void {
    $order = $this->world->inReview();
    $this->world
        ->edit($order, 'change', 20, ['quantity' => '4'])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['order' => 'locked']);
    $this->world->as('jonas', 'POST', "/orders/{$order}/items/200-0010/works/engineering/undo")->assertStatus(422);
    $this->world
        ->as('mira', 'PATCH', "/orders/{$order}", ['effective_on' => World::day(50), 'version' => $this->world->version($order)])
        ->assertStatus(422);
    $this->world->as('mira', 'DELETE', "/orders/{$order}/items/200-0040", ['version' => $this->world->version($order)])->assertStatus(422);
});

it('sends back with a reason, after which the signature is void', function (): void {
    $order = $this->world->signed();
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/return", ['reason' => ''])
        ->assertStatus(422)
        ->assertJsonValidationErrors('reason');
    $this->world
        ->as('mira', 'POST', "/orders/{$order}/return", ['reason' => 'Clamp too.'])
        ->assertOk()
        ->assertJsonPath('order.state', 'revising')
        ->assertJsonPath('order.signatures.0.reason', 'Clamp too.')
        ->assertJsonPath('order.signatures.1.void', true);
    $this->world->edit($order, 'change', 20, ['quantity' => '4'])->assertOk();
});

it('locks out whoever tries passwords, and never whoever knows theirs', function (): void {
    $try = fn(string $password) => $this->postJson('/api/session', ['login' => 'vera', 'password' => $password]);
    foreach (range(1, 25) as $_) {
        $try('secret')->assertOk();
    }
    foreach (range(1, 10) as $_) {
        $try('wrong')->assertStatus(422);
    }
    $try('wrong')->assertStatus(429);
    $try('secret')->assertStatus(429);
});
