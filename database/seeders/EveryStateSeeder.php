<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Files\StoredFile;
use App\Forms\Actions\HandOutForm;
use App\Forms\Actions\TakeInForm;
use App\Forms\Models\FormTemplate;
use App\Imports\Jobs\RunImport;
use App\Imports\Models\Import;
use App\Meetings\Actions\SetMeetings;
use App\People\Models\Person;
use App\Releases\Jobs\DeliverHandover;
use App\Releases\Models\OutboxMessage;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Edit\AddLine;

/** What the stories leave out, so that every page has something true to show in each of its states. */
final class EveryStateSeeder extends Seeder
{
    private ChangeStory $story;

    private Person $mira;

    public function run(): void
    {
        $this->story = new ChangeStory();
        $this->mira = Person::query()->where('login', 'mira.okafor')->firstOrFail();
        $this->requests();
        $this->withdrawnOrder();
        $this->refusedByPlanning();
        $this->unansweredByPlanning();
        $this->questions();
        $this->meetings();
        $this->forms();
        $this->story->backToToday();
        $this->revisions();
        $this->imports();
    }

    private function requests(): void
    {
        $s = $this->story->on(12);
        $approved = $s->request(
            'samir.bello',
            'Captive screws on the battery lid',
            'improvement',
            'shop_floor',
            'Tarn',
            'low',
            'Loose screws fall into the case when the battery is changed.',
            ['400-0001'],
        );
        $s->propose($approved);
        $s->edit($approved, '400-0001', [
            new AddLine('', [
                'find' => '70',
                'component' => '600-0032',
                'quantity' => '4',
                'unit' => 'pc',
                'notes' => 'Captive, in the lid.',
            ]),
        ]);
        $s->on(11)->assess($approved, 'A standard captive screw fits the holes.');
        $s->decide($approved, RequestState::Approved, 'With the next change of the lid.');
        $s->on(10);
        $gathered = $s->request(
            'petra.quist',
            'Hose of the suction line kinks when it is rolled up',
            'improvement',
            'sales',
            'Weir',
            'low',
            'Customers ask for a longer line that can be rolled up.',
            ['240-0001'],
        );
        $s->gatherRequests((string) ChangeRequest::query()->where('title', 'Suction line of 12 m as an option')->valueOrFail('number'), [
            $gathered,
        ]);
    }

    private function withdrawnOrder(): void
    {
        $s = $this->story->on(44);
        $request = $s->request(
            'jonas.weir',
            'Thinner bottle clips',
            'cost_saving',
            'engineering',
            'Tarn',
            'low',
            'Clips of 0.6 mm in place of 0.8 mm.',
            ['220-0033'],
        );
        $s->on(42)->assess($request, 'Holds a full bottle in the trial.');
        $s->decide($request, RequestState::Approved, 'Small saving.');
        $order = $s->on(40)->order($request);
        $s->on(34)->withdraw($order, 'In frost the thin clips break. The request waits for another idea.');
    }

    /** Planning has locked the folded bracket, so it refuses all that is said of it. */
    private function refusedByPlanning(): void
    {
        $order = $this->released('Oil film on the folded bracket', '200-0052', '710-0003', 22);
        DeliverHandover::dispatchSync($this->messageOf($order));
    }

    /** Planning was down for a whole night, longer than a hand-over is tried by itself. */
    private function unansweredByPlanning(): void
    {
        $order = $this->released('Desiccant bag in the chilled case', '230-0002', '710-0004', 14);
        $planning = config()->string('orthotaxis.planning.url') . '/behaviour';
        Http::asForm()
            ->withoutRedirecting()
            ->post($planning, ['mode' => 'down']);
        for ($i = 0; $i < config()->integer('orthotaxis.handover.tries'); $i++) {
            DeliverHandover::dispatchSync($this->messageOf($order));
        }
        Http::asForm()
            ->withoutRedirecting()
            ->post($planning, ['mode' => 'normal']);
    }

    /** An order that adds one thing to one item, and is released. */
    private function released(string $title, string $item, string $component, int $daysAgo): string
    {
        $s = $this->story->on($daysAgo + 9);
        $request = $s->request(
            'samir.bello',
            $title,
            'defect',
            'shop_floor',
            'Weir',
            'normal',
            'Seen on the shelf: without it the part suffers.',
            [$item],
        );
        $s->on($daysAgo + 8)->assess($request, 'Cheap, no new tool.');
        $s->decide($request, RequestState::Approved, 'Do it.');
        $order = $s->on($daysAgo + 7)->order($request);
        $s->plan($order, 'jonas.weir', 'nils.aarden', $daysAgo + 40);
        $s->name($order, $item, Outcome::Revise, Disposition::UseUp);
        $s->open($order);
        $unit = Item::query()->where('number', $component)->firstOrFail()->unit->value;
        $s->on($daysAgo + 4)->edit($order, $item, [
            new AddLine('', [
                'find' => '990',
                'component' => $component,
                'quantity' => '1',
                'unit' => $unit,
                'not_modelled' => 'yes',
            ]),
        ]);
        $s->submit($order);
        $s->on($daysAgo + 2)->sign($order);
        $s->on($daysAgo)->release($order);

        return $order;
    }

    private function messageOf(string $order): int
    {
        return OutboxMessage::query()
            ->whereHas('handover.order', static fn($query) => $query->where('number', $order))
            ->latest('id')
            ->firstOrFail()->id;
    }

    private function meetings(): void
    {
        $tuesday = CarbonImmutable::parse('next tuesday 13:30');
        foreach ([$tuesday, $tuesday->addWeek()] as $day) {
            app(SetMeetings::class)->add($this->mira, $day, 60, 'Tarn, room 2');
        }
    }

    private function questions(): void
    {
        $request = (string) ChangeRequest::query()->where('title', 'Second source for the gear motor')->valueOrFail('number');
        $s = $this->story->on(0, 8);
        $s->ask($request, ['200-0050'], 'quality', 'certificate', 'Does the flow certificate name the motor?', 'nils.aarden', 5);
        $s->noEffect($request, '200-0050', 'nils.aarden', 'It names the flow, not the motor.');
        $s->ask($request, ['200-0050'], 'manufacturing', 'tooling', 'Does the coupling jig fit the second motor?', 'samir.bello', 6);
        $s->withdrawQuestion($request, '200-0050', 'samir.bello');
    }

    private function forms(): void
    {
        $request = (string) ChangeRequest::query()->where('title', 'Suction line of 12 m as an option')->valueOrFail('number');
        $template = FormTemplate::query()->orderBy('id')->firstOrFail()->id;
        $s = $this->story->on(0, 8);
        $out = app(HandOutForm::class);
        $taken = $out->out($this->mira, $request, $template);
        $version = (int) ChangeRequest::query()->where('number', $request)->valueOrFail('version');
        StoredFile::with(
            $taken->file_id,
            fn(string $path) => app(TakeInForm::class)->in($this->mira, $request, $path, 'field-check.docx', [], $version),
        );
        $out->withdraw($this->mira, $out->out($this->mira, $request, $template)->number);
        $s->backToToday();
    }

    /** Begun, being judged, and long out of use: revisions that come from before the demo. */
    private function revisions(): void
    {
        $category = Item::query()->where('number', '200-0051')->valueOrFail('category_id');
        $long = CarbonImmutable::today()->subYears(6);
        $released = ['status' => 'released', 'effective_from' => $long->toDateString(), 'released_at' => $long];
        $ended = ['effective_to' => CarbonImmutable::today()->subYears(3)->toDateString()];
        foreach (
            [
                ['209-0001', 'Motor bracket, cast, for trial', []],
                ['209-0002', 'Motor bracket, printed, for trial', [['status' => 'in_review']]],
                [
                    '209-0003',
                    'Motor bracket, welded',
                    [['status' => 'in_review'], $released, ['status' => 'superseded'] + $ended, ['status' => 'obsolete']],
                ],
            ]
            as [$number, $title, $steps]
        ) {
            $item = Item::query()->create([
                'number' => $number,
                'title' => $title,
                'kind' => 'part',
                'category_id' => $category,
                'unit' => 'pc',
                'supply' => 'buy',
                'sold' => false,
            ]);
            $revision = DB::table('revisions')->insertGetId([
                'item_id' => $item->id,
                'code' => 'A',
                'status' => 'in_work',
                'reason' => 'First release',
            ]);
            foreach ($steps as $step) {
                DB::table('revisions')->where('id', $revision)->update($step);
            }
        }
    }

    private function imports(): void
    {
        $head = "number,title,kind,category,unit,supply\n";
        $this->import(
            'washers.csv',
            $head . "600-0901,Washer M3 nylon,part,fastener,pc,buy\n600-0902,Washer M4 nylon,part,fastener,pc,buy\n",
            5,
            true,
        );
        $this->import(
            'washers-again.csv',
            $head . "600-0901,Washer M3 nylon,part,fastener,pc,buy\n600-0903,,part,bolts,pcs,buy\n",
            4,
            true,
        );
        $this->import('old-catalogue.csv', $head . "600-0904,Washer M5 nylon,part,fastener,pc,buy\n", 3, false)->update([
            'state' => 'cancelled',
            'ended_at' => CarbonImmutable::now()->subDays(3),
        ]);
        $failed = $this->import('very-large.csv', $head . "600-0905,Washer M6 nylon,part,fastener,pc,buy\n", 2, false);
        $failed->update(['state' => 'waiting']);
        (new RunImport($failed->id))->failed(new \RuntimeException('The worker was stopped.'));
    }

    private function import(string $name, string $content, int $daysAgo, bool $run): Import
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-import-');
        file_put_contents($path, $content);
        $import = Import::query()->create([
            'subject' => 'items',
            'file' => $name,
            'file_id' => StoredFile::keep($path),
            'sha256' => hash_file('sha256', $path),
            'first_day' => CarbonImmutable::today()->toDateString(),
            'state' => 'waiting',
            'person_id' => $this->mira->id,
            'asked_at' => CarbonImmutable::now()->subDays($daysAgo),
        ]);
        unlink($path);
        if ($run) {
            RunImport::dispatchSync($import->id);
        }

        return $import;
    }
}
