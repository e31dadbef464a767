<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Dossier\Events\RequestOrdered;
use App\Economics\FigureKind;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Releases\Jobs\DeliverHandover;
use App\Releases\Models\OutboxMessage;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Models\Succession;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Report\ReportState;

/** Changes at every stage of their life. */
final class OpenChangesSeeder extends Seeder
{
    private ChangeStory $story;

    public function run(): void
    {
        $this->story = new ChangeStory();
        $this->releaseNewItems();
        $this->bracketPartlyRefused();
        $this->threadLockerSigned();
        $this->labelInReview();
        $this->carouselOverdue();
        $this->regulatorBeingRevised();
        $this->latchCollidesWithGasket();
        $this->decidedRequests();
        $this->pumpTubeTakenIn();
        $this->otherReports();
        $this->story->backToToday();
    }

    /** New numbers that replace others are released for trial before they are used anywhere. */
    private function releaseNewItems(): void
    {
        $revisions = Revision::query()->whereIn(
            'item_id',
            Item::query()
                ->whereIn('number', ['200-0041', '700-0006'])
                ->select('id'),
        );
        $revisions->clone()->update(['status' => 'in_review']);
        $revisions->update([
            'status' => 'released',
            'effective_from' => now()->subDays(40)->toDateString(),
            'released_at' => now()->subDays(40),
            'reason' => 'Released for trial',
        ]);
    }

    private function bracketPartlyRefused(): void
    {
        $s = $this->story->on(38);
        $request = $s->request(
            'samir.bello',
            'Folded motor bracket in place of the milled one',
            'cost_saving',
            'shop_floor',
            'Weir',
            'normal',
            'The milled bracket costs more than twice a folded one. The folded one has other hole distances, so it gets a new number.',
            ['200-0001', '200-0051'],
        );
        $s->on(36)->assess($request, 'Saves 18.60 a piece. Not interchangeable: the coupling must be set anew.');
        $s->decide($request, RequestState::Approved, 'Payback in four months.');
        $order = $s->on(33)->order($request);
        $s->plan($order, 'jonas.weir', 'helen.marsh', 45);
        $s->name($order, '200-0001', Outcome::Revise, Disposition::UseUp);
        $s->name($order, '200-0051', Outcome::Data, Disposition::UseUp);
        $s->name($order, '800-0010', Outcome::Revise, Disposition::UseUp);
        $s->open($order);
        $s->data($order, '200-0051', ['retired' => 'yes', 'replaced_by' => '200-0052']);
        $item = static fn(string $number): int => Item::query()->where('number', $number)->firstOrFail()->id;
        Succession::query()->create([
            'item_id' => $item('200-0051'),
            'successor_id' => $item('200-0052'),
            'interchangeable' => false,
            'order_id' => ChangeOrder::query()->where('number', $order)->firstOrFail()->id,
        ]);
        $s->on(28)->edit($order, '200-0001', [new ReplaceComponent($s->line('200-0001', '200-0051'), ['component' => '200-0052'])]);
        // The drawing of the pump module goes along.
        DraftSheetSeeder::bring(
            OrderItem::query()
                ->with('item')
                ->whereRelation('item', 'number', '800-0010')
                ->whereRelation('order', 'number', $order)
                ->firstOrFail(),
            Item::query()->where('number', '200-0001')->firstOrFail(),
            $s->lines($order, '200-0001'),
            'Set the coupling anew: gap 0.4 mm.',
        );
        $s->submit($order);
        $s->on(24)->sign($order);
        $s->on(23)->release($order);
        // This one is really sent: planning does not know the folded bracket yet.
        $message = OutboxMessage::query()->whereNull('delivered_at')->latest('id')->firstOrFail();
        DeliverHandover::dispatchSync($message->id);
    }

    private function threadLockerSigned(): void
    {
        $s = $this->story->on(21);
        $request = $s->request(
            'samir.bello',
            'Thread locker on the rotor screws',
            'defect',
            'shop_floor',
            'Weir',
            'high',
            'Two rotors came back from the test bench with loose screws. A drop of thread locker at the rotor operation holds them.',
            ['200-0020'],
        );
        $s->on(20)->assess($request, 'Tried on twenty rotors; none came loose. No new tool.');
        $s->decide($request, RequestState::Approved, 'Cheap and quick.');
        $order = $s->on(19)->order($request);
        $s->plan($order, 'samir.bello', 'nils.aarden', 40);
        $s->name($order, '200-0020', Outcome::Build, null);
        $s->open($order);
        $s->on(12)->build(
            $order,
            '200-0020',
            'Weir',
            new AddLine('', [
                'find' => '80',
                'component' => '710-0002',
                'quantity' => '0.3',
                'unit' => 'ml',
                'notes' => 'one drop a screw',
                'operation' => '20',
                'not_modelled' => 'yes',
            ]),
        );
        $s->submit($order);
        $s->on(3)->sign($order);
    }

    private function labelInReview(): void
    {
        $s = $this->story->on(16);
        $request = $s->request(
            'petra.quist',
            'New wording on the transport label of the battery',
            'regulation',
            'sales',
            'Tarn',
            'normal',
            'The transport rules ask for other wording from next quarter.',
            ['100-0012', '100-0024', '100-0034', '700-0005'],
        );
        $s->on(15)->assess($request, 'Label only; the carton stays.');
        $s->decide($request, RequestState::Approved, 'Required by the rules.');
        $order = $s->on(13)->order($request);
        $s->plan($order, 'jonas.weir', 'helen.marsh', 60);
        foreach (['100-0012', '100-0024', '100-0034'] as $product) {
            $s->name($order, $product, Outcome::Revise, Disposition::UseUp);
        }
        $s->name($order, '700-0005', Outcome::Keep, Disposition::Scrap);
        $s->open($order);
        $s->on(8);
        foreach (['100-0012', '100-0024', '100-0034'] as $product) {
            $s->edit($order, $product, [new ReplaceComponent($s->line($product, '700-0005'), ['component' => '700-0006'])]);
        }
        $s->on(5)->submit($order);
    }

    private function carouselOverdue(): void
    {
        $s = $this->story->on(58);
        $request = $s->request(
            'clara.fenn',
            'Second clip on each bottle of the 24 carousel',
            'improvement',
            'field',
            'Tarn',
            'low',
            'Glass bottles rattle when the sampler is carried.',
            ['220-0024'],
        );
        $s->on(55)->assess($request, 'The ring has the holes already.');
        $s->decide($request, RequestState::Approved, 'Wanted by two large customers.');
        $order = $s->on(52)->order($request);
        $s->plan($order, 'jonas.weir', 'helen.marsh', 80, 'two_plants');
        $s->name($order, '220-0024', Outcome::Revise, Disposition::Rework);
        $s->open($order);
        $s->on(46)->edit($order, '220-0024', [new ChangeLine($s->line('220-0024', '220-0033'), ['quantity' => '48'])]);
        $s->on(41)->submit($order);
        $s->on(39)->sign($order, 'nils.aarden');
    }

    private function regulatorBeingRevised(): void
    {
        $s = $this->story->on(18);
        $request = $s->request(
            'edda.roth',
            'Voltage regulator reaches end of life',
            'end_of_life',
            'supplier',
            'Weir',
            'high',
            'The maker stops the 5 V regulator. A last-time buy is placed; the board needs the smaller outline.',
            ['300-0010', '300-0020', '310-0002'],
        );
        $s->on(17)->assess($request, 'Both boards need another footprint. Last-time buy covers about fourteen months.');
        $day = $s->cutIn(
            $request,
            [
                'swaps' => [['gone' => ['310-0002'], 'come' => [['item' => '310-0003']]]],
                'parts' => [['item' => '310-0002', 'keep' => '400', 'disposition' => 'use_up']],
            ],
            'Agreed with purchasing: the small outline is qualified by then. What is left goes to service and to the older boards.',
        );
        $s->decide($request, RequestState::Approved, 'No choice; the day is to be planned with purchasing.');
        $order = $s->on(14)->order($request);
        $s->plan($order, 'edda.roth', 'nils.aarden', (int) CarbonImmutable::today()->diffInDays(CarbonImmutable::parse($day)));
        $s->name($order, '300-0010', Outcome::Revise, Disposition::UseUp);
        $s->name($order, '300-0020', Outcome::Revise, Disposition::UseUp);
        $s->name($order, '310-0002', Outcome::Keep, Disposition::UseUp);
        $s->name($order, '310-0003', Outcome::Data, null);
        $s->open($order);
        $s->data($order, '310-0003', [
            'lead_time_days' => '60',
            'pack' => '1000',
            'safety_stock@Weir' => '400',
            'minimum_lot@Weir' => '1000',
            'lot_multiple@Weir' => '1000',
        ]);
        $line = $s->line('300-0010', '310-0002');
        $s->on(6)->edit($order, '300-0010', [
            new ReplaceComponent($line, ['component' => '310-0003', 'designators' => 'U8', 'notes' => 'small outline']),
        ]);
        $s->keep($order, '300-0010', 'Regulator alone, for the first trial');
        $s->on(5)->edit($order, '300-0010', [
            new ChangeLine($s->line('300-0010', '310-0057'), [
                'quantity' => '5',
                'designators' => 'C17, C18, C19, C20, C23',
            ]),
        ]);
        // The drawing of the board goes with it: its draft is DocumentSeeder's.
        $s->name(
            $order,
            (string) Item::query()->where('title', 'Drawing, Controller board, assembled')->valueOrFail('number'),
            Outcome::Revise,
            Disposition::UseUp,
        );
    }

    private function latchCollidesWithGasket(): void
    {
        $s = $this->story->on(26);
        $gasket = $s->request(
            'clara.fenn',
            'Case gasket hardens in frost',
            'defect',
            'field',
            'Tarn',
            'critical',
            'Gaskets of the standard compound turn hard below minus fifteen degrees; water enters. Same part in all products and two spares kits.',
            ['230-0001', '230-0002', '110-0002', '110-0004', '230-0020'],
        );
        $s->on(24)->assess($gasket, 'Silicone 50 stays soft. Twelve weeks lead time, 1,240 m of the old compound on stock.');
        $s->decide($gasket, RequestState::Approved, 'Old stock goes to the warm-climate series until used up.');
        $order = $s->on(22)->order($gasket);
        $s->plan($order, 'jonas.weir', 'nils.aarden', 90);
        foreach (['230-0001', '230-0002', '110-0002', '110-0004'] as $item) {
            $s->name($order, $item, Outcome::Revise, Disposition::UseUp);
        }
        $s->name($order, '230-0020', Outcome::Keep, Disposition::UseUp);
        $s->open($order);
        $s->on(11)->edit($order, '230-0001', [new ReplaceComponent($s->line('230-0001', '230-0020'), ['component' => '230-0021'])]);

        $latch = $s
            ->on(20)
            ->request(
                'samir.bello',
                'Lockable latches on the standard case',
                'improvement',
                'sales',
                'Tarn',
                'normal',
                'Two dealers ask for locks as on the chilled model.',
                ['230-0001'],
            );
        $s->on(19)->assess($latch, 'Same holes; 17.60 more a case.');
        $s->decide($latch, RequestState::Approved, 'Price rises accordingly.');
        $order = $s->on(15)->order($latch);
        $s->plan($order, 'samir.bello', 'helen.marsh', 70);
        $s->name($order, '230-0001', Outcome::Revise, Disposition::UseUp);
        $s->open($order);
        $s->on(9)->edit($order, '230-0001', [new ReplaceComponent($s->line('230-0001', '230-0022'), ['component' => '230-0023'])]);
    }

    private function decidedRequests(): void
    {
        $s = $this->story->on(30);
        $rejected = $s->request(
            'petra.quist',
            'Cartons without print',
            'cost_saving',
            'supplier',
            'Tarn',
            'low',
            'Plain cartons are 0.80 cheaper.',
            ['720-0001'],
        );
        $s->on(27)->assess($rejected, 'The print carries the transport marks.');
        $s->decide($rejected, RequestState::Rejected, 'The marks would have to be labels, which cost more.');

        $returned = $s
            ->on(10)
            ->request('clara.fenn', 'Battery strap loosens', 'defect', 'field', 'Tarn', 'high', 'Straps were found loose.', ['400-0001']);
        $s->on(9)->assess($returned, 'How many, which serial numbers, and after how long?');
        $s->decide($returned, RequestState::Returned, 'Please add serial numbers and hours of use.');

        $duplicate = $s
            ->on(7)
            ->request(
                'nils.aarden',
                'Water in the case in winter',
                'defect',
                'audit',
                'Tarn',
                'normal',
                'Found at an audit of returned units.',
                ['230-0001'],
            );
        $s->on(6)->assess($duplicate, 'Same cause as the request on the hardened gasket.');
        $s->decide($duplicate, RequestState::Rejected, 'A duplicate: it is dealt with under the order for the gasket.');

        $one = $s
            ->on(9)
            ->request('clara.fenn', 'Strainer clogs with leaves', 'improvement', 'field', 'Weir', 'normal', 'Larger openings wanted.', [
                '240-0002',
                '240-0003',
            ]);
        $two = $s
            ->on(8)
            ->request(
                'jonas.weir',
                'Strainer basket is hard to open',
                'improvement',
                'engineering',
                'Weir',
                'low',
                'Set screws should become a bayonet.',
                ['240-0002'],
            );
        foreach ([$one, $two] as $request) {
            $s->on(5)->assess($request, 'Both are the same basket: one change will do.');
            $s->decide($request, RequestState::Approved, 'Gathered with the other strainer request.');
        }
        $order = $s->on(4)->order($one);
        $this->gather($two, $order);
        $s->plan($order, 'jonas.weir', 'helen.marsh', 75);

        $s->on(2)->request(
            'edda.roth',
            'Display fades in direct sun',
            'improvement',
            'field',
            'Weir',
            'normal',
            'Readings are hard to see at noon.',
            ['300-0034', '300-0030'],
        );
        $s->on(1)->request(
            'petra.quist',
            'Second source for the gear motor',
            'cost_saving',
            'supplier',
            'Weir',
            'low',
            'Eight weeks lead time from one maker is a risk.',
            ['200-0050'],
        );
    }

    /** What specialists were asked about the pump tube, and what is said of its cost. */
    private function pumpTubeAssessed(string $request): void
    {
        $s = $this->story->on(0, 9);
        $s->ask(
            $request,
            ['200-0030', '200-0040'],
            'design',
            'feasible',
            'Does the roller gap of 2.0 mm hold with the thicker wall?',
            'jonas.weir',
            4,
        );
        $s->answer($request, '200-0030', 'jonas.weir', 'Yes, with the spacer ring of 0.4 mm in place of 0.2 mm.', null, null);
        $s->answer($request, '200-0040', 'jonas.weir', 'Yes. The tube is pressed as before.', null, '2.80');
        $s->ask(
            $request,
            ['200-0040'],
            'purchasing',
            'stock',
            'From when can the 2.4 mm tube be had, and what is still on order of the old one?',
            'buyer',
            3,
        );
        $s->ask($request, ['200-0010'], 'quality', 'certificate', 'Does the flow certificate have to be done anew?', 'nils.aarden', 6);
        $s->answer($request, '200-0010', 'nils.aarden', 'Yes, one test run of 500 hours for each product.', '5400', null);
        $s->ask($request, ['200-0040'], 'service', 'other', 'Do spares kits have to be exchanged at the customers?', 'service', 8);
        $s->figure(
            $request,
            FigureKind::Disposition,
            '200-0040 stock',
            'use_up',
            null,
            'Clear rivers wear it normally: it goes into the spares kits.',
        );
        $s->figure($request, FigureKind::OneTime, 'Gauge for the new roller gap', null, 1_860_000, 'Offer of Kestrel Measuring.');
        $s->reach($request, 'document', '820-0001', true, 'The gap is set as the instruction says.');
        $s->reach($request, 'document', '800-0004', false, 'The kit stays as it is drawn.');
    }

    /** A second request answered by the same order. */
    private function gather(string $request, string $order): void
    {
        $found = ChangeRequest::query()->where('number', $request)->firstOrFail();
        ChangeOrder::query()->where('number', $order)->firstOrFail()->requests()->attach($found->id);
        $found->update(['state' => RequestState::Ordered, 'version' => $found->version + 1]);
        event(new RequestOrdered('mira.okafor', $request, $order));
    }

    private function pumpTubeTakenIn(): void
    {
        $s = $this->story->on(27);
        $first = $s->report(
            'clara.fenn',
            'Pump tube torn at the rollers',
            'field',
            'Weir',
            'high',
            'Sampler on the Skell ran dry after 160 hours. The tube is torn where the rollers press it; fine silt in the pump head.',
            'H24-01877',
            ['200-0040'],
        );
        $second = $s
            ->on(13)
            ->report(
                'petra.quist',
                'Tube leaks after 200 hours in silt',
                'sales',
                'Weir',
                'high',
                'A customer with three samplers behind a weir sends two back: the pump tube leaks at the rollers after about 200 hours. 500 hours are promised.',
                'H12-02210, H12-02213',
                ['200-0010', '200-0040'],
            );
        $request = $this->story
            ->on(0, 7)
            ->request(
                'clara.fenn',
                'Pump tube wears out early in silty rivers',
                'defect',
                'field',
                'Weir',
                'critical',
                "Three field reports in a month: the tube tears at the rollers after 150 to 220 hours where the water carries silt; 500 hours are promised.\n" .
                    'Proposed: tube with 2.4 mm wall, and the roller gap opened to match (0.4 mm spacer ring in place of 0.2 mm).',
                ['200-0010', '200-0030', '200-0040'],
            );
        $this->story->gather($request, [$first, $second]);
        $this->pumpTubeAssessed($request);
        $this->story
            ->on(0, 8)
            ->report(
                'clara.fenn',
                'Pump tube worn through, sampler flooded',
                'field',
                'Tarn',
                'critical',
                'Third one this month: tube torn at the rollers after 220 hours, the water ran into the case and the controller. Silty river again.',
                'HC-00341',
                ['200-0040', '200-0010'],
            );
    }

    private function otherReports(): void
    {
        $s = $this->story->on(29);
        $frost = $s->report(
            'clara.fenn',
            'Water in the case after frost',
            'field',
            'Tarn',
            'critical',
            'Gasket hard as wood at minus eighteen; the lid stands off.',
            'H24-01702',
            ['230-0020'],
        );
        $again = $s
            ->on(28)
            ->report(
                'nils.aarden',
                'Gasket cracked on a returned unit',
                'audit',
                'Tarn',
                'high',
                'Returned sampler: the gasket of the case has hardened and cracked.',
                'H24-01650',
                ['230-0020'],
            );
        $s->gather((string) ChangeRequest::query()->where('title', 'Case gasket hardens in frost')->valueOrFail('number'), [
            $frost,
            $again,
        ]);
        $s->same(
            $s
                ->on(17)
                ->report(
                    'petra.quist',
                    'Lid lets water in when it freezes',
                    'sales',
                    'Tarn',
                    'normal',
                    'A dealer says the lid lets water in when it freezes; gasket hardened.',
                    '',
                    ['230-0020'],
                ),
            $frost,
        );
        $s->settle(
            $s
                ->on(12)
                ->report(
                    'samir.bello',
                    'Bottle does not fit the clip',
                    'shop_floor',
                    'Tarn',
                    'low',
                    'One carton of bottles is wider than the clips.',
                    'LOT-40412',
                    ['220-0033'],
                ),
            ReportState::Answered,
            'A wrong carton was delivered; the bottles went back to the supplier. Nothing to change.',
        );
        $s->settle(
            $s
                ->on(6)
                ->report(
                    'clara.fenn',
                    'Sampler stops at night',
                    'field',
                    'Weir',
                    'high',
                    'It does not sample between two and four.',
                    'H12-02305',
                    ['300-0010'],
                ),
            ReportState::Returned,
            'Which firmware does it show, and is the solar lead connected?',
        );
        $line = $s
            ->on(3)
            ->request(
                'petra.quist',
                'Suction line of 12 m as an option',
                'improvement',
                'sales',
                'Weir',
                'normal',
                'Three offers were lost for want of a longer line.',
                ['240-0001'],
            );
        $s->propose($line);
        $s->edit($line, '240-0001', [
            new ChangeLine($s->line('240-0001', '240-0005'), ['quantity' => '12', 'notes' => 'A line of 12 m: the hose is cut to length.']),
        ]);
        $s->on(2)->assess($line, 'Feasible up to 12 m; the pump lifts it. One new length of hose, no new tool.');
        $s->assess(
            (string) ChangeRequest::query()->where('title', 'Second source for the gear motor')->valueOrFail('number'),
            'The second motor fits; its data sheet promises 20 % more hours.',
        );
        $s->on(1)->report(
            'samir.bello',
            'Rotor screws hard to reach',
            'shop_floor',
            'Weir',
            'low',
            'The wrench has to be put on four times for each rotor screw.',
            '',
            ['200-0020'],
        );
    }
}
