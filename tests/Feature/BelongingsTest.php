<?php

declare(strict_types=1);

use App\Documents\Models\ItemDocument;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->order = $this->world->opened();
    /** A released drawing of the pump head that shows its revision as it is. */
    $this->drawing = function (string $number, bool $released = true): void {
        $head = Item::query()->with('released')->where('number', '200-0010')->firstOrFail();
        $id = DB::table('items')->insertGetId([
            'number' => $number,
            'title' => 'Pump head, drawing',
            'kind' => 'drawing',
            'unit' => 'pc',
            'supply' => 'make',
            'category_id' => $head->category_id,
        ]);
        DB::table('revisions')->insert(['item_id' => $id, 'code' => 'A', 'status' => 'in_work', 'reason' => 'First release']);
        if ($released) {
            DB::table('revisions')
                ->where('item_id', $id)
                ->update(['status' => 'in_review']);
            DB::table('revisions')
                ->where('item_id', $id)
                ->update(['status' => 'released', 'effective_from' => '2026-01-01', 'released_at' => now()]);
        }
        DB::table('item_documents')->insert(['item_id' => $head->id, 'document_id' => $id, 'shows_revision_id' => $head->released->id]);
    };
    $this->found = fn(): array => array_map(
        fn(array $row): array => [$row['other']['number'], $row['state'], $row['reason']],
        $this->world
            ->as('vera', 'GET', "/orders/{$this->order}/belongings")
            ->assertOk()
            ->json(),
    );
    $this->decide = fn(string $becomes, array $numbers, array $more = [], string $as = 'mira') => $this->world->as(
        $as,
        'POST',
        "/orders/{$this->order}/belongings",
        [
            'rows' => array_map(
                fn(array $row): array => [
                    'item' => $row['item'],
                    'kind' => $row['kind'],
                    'number' => $row['other']['number'],
                    'fault' => $row['fault'],
                ],
                array_values(
                    array_filter(
                        $this->world->as('mira', 'GET', "/orders/{$this->order}/belongings")->json(),
                        fn(array $row): bool => in_array($row['other']['number'], $numbers, true),
                    ),
                ),
            ),
            'becomes' => $becomes,
            'version' => $this->world->version($this->order),
            ...$more,
        ],
    );
    $this->shows = fn(string $number): ?string => ItemDocument::query()->whereRelation('document', 'number', $number)->with('shows')->sole()
        ->shows?->code;
});

it(
    'finds what would stay behind, and lets each go along, adopt, or stay with a reason, many at once; all of it can be taken back',
    function (): void {
        foreach (['800-0011', '800-0012', '800-0013'] as $number) {
            ($this->drawing)($number);
        }
        expect(($this->found)())->toBe([['800-0011', 'open', ''], ['800-0012', 'open', ''], ['800-0013', 'open', '']]);
        ($this->decide)('along', ['800-0011'])->assertOk();
        ($this->decide)('adopts', ['800-0012'])->assertOk();
        ($this->decide)('left', ['800-0013'], ['reason' => ''])->assertJsonValidationErrors(['reason' => 'Give the reason.']);
        ($this->decide)('left', ['800-0013'], ['reason' => 'It shows the outline only.'])->assertOk();
        expect(($this->found)())->toBe([
            ['800-0011', 'along', ''],
            ['800-0012', 'adopts', ''],
            ['800-0013', 'left', 'It shows the outline only.'],
        ]);
        ($this->decide)('open', ['800-0012', '800-0013'])->assertOk();
        ($this->decide)('open', ['800-0011'])->assertJsonValidationErrors([
            'rows.0' => '800-0011 is on this order. Remove it from the affected items.',
        ]);
        expect(($this->found)())->toBe([['800-0011', 'along', ''], ['800-0012', 'open', ''], ['800-0013', 'open', '']]);
        ($this->decide)('left', ['800-0012', '800-0013'], ['reason' => 'Both show the outline only.'])->assertOk();
        expect(DB::table('ledger')->where('act', 'order.left_as_it_is')->count())
            ->toBe(3)
            ->and(DB::table('ledger')->where('act', 'order.left_no_more')->count())
            ->toBe(1);
    },
);

it(
    'is not sent to review with a drawing that would stay behind, and shows the coming revision where it goes along or adopts',
    function (): void {
        ($this->drawing)('800-0011');
        ($this->drawing)('800-0012');
        $this->world->edit($this->order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world
            ->as('jonas', 'POST', "/orders/{$this->order}/review", ['version' => $this->world->version($this->order)])
            ->assertJsonValidationErrors(['belongings' => '200-0010: 800-0011 shows revision']);
        ($this->decide)('adopts', ['800-0011'])->assertOk();
        ($this->decide)('left', ['800-0012'], ['reason' => 'Outline only.'])->assertOk();
        $before = ($this->shows)('800-0012');
        $this->world->released($this->order);
        expect(($this->shows)('800-0011'))
            ->toBe(Item::query()->where('number', '200-0010')->with('released')->sole()->released->code)
            ->and(($this->shows)('800-0012'))
            ->toBe($before)
            ->and(($this->found)())
            ->toBe([['800-0012', 'left', 'Outline only.']]);
    },
);

it(
    'takes nothing that is not so any more, that cannot be so, or that is not theirs to decide, and then changes nothing',
    function (): void {
        ($this->drawing)('800-0011');
        ($this->drawing)('800-0012', released: false);
        ($this->decide)('adopts', ['800-0011'], [], 'tomas')->assertForbidden();
        ($this->decide)('adopts', ['800-0011'], ['version' => 1])->assertConflict();
        ($this->decide)(
            'adopts',
            ['800-0011'],
            [
                'rows' => [
                    ['item' => '200-0010', 'kind' => 'document', 'number' => '800-0012', 'fault' => 'is not released.'],
                    ['item' => '200-0010', 'kind' => 'document', 'number' => '800-0011', 'fault' => 'shows revision Z.'],
                ],
            ],
        )->assertJsonValidationErrors(['rows.1' => '800-0011 is not found so any more.']);
        ($this->decide)('open', ['800-0011'])->assertJsonValidationErrors(['rows.0' => 'Nothing was decided on 800-0011.']);
        ($this->decide)('along', [], ['rows' => ['x']])->assertUnprocessable();
        ($this->decide)('away', ['800-0011'])->assertJsonValidationErrors('becomes');
        expect(array_column(($this->found)(), 1))->toBe(['open', 'open']);
        // Another order lets it adopt already.
        $other = $this->world->order();
        DB::table('item_documents')->update(['adopting_order_id' => DB::table('change_orders')->where('number', $other)->value('id')]);
        ($this->decide)('adopts', ['800-0011'])->assertJsonValidationErrors(['rows.0' => "800-0011 adopts under {$other} already."]);
    },
);
