<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Documents\FileRole;
use App\Documents\Jobs\DrawThumbnail;
use App\Documents\Models\ItemDocument;
use App\Files\FileContent;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\StructureReader;
use Database\Seeders\Models\DemoModels;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\Line;

/** What is drawn and written about the items of the demo. A few drawings lag behind their items, as they do in life. */
final class DocumentSeeder extends Seeder
{
    /** Drawings that still show the revision before the newest. */
    private const BEHIND = ['200-0010', '200-0001', '300-0010', '230-0001', '210-0100'];

    /** Document => items that it describes. */
    private const WRITTEN = [
        '820-0001' => ['200-0010'],
        '820-0002' => ['200-0001'],
        '820-0003' => ['200-0020'],
        '820-0004' => ['210-0001'],
        '820-0005' => ['230-0001', '230-0002'],
        '820-0006' => ['300-0001'],
        '820-0008' => ['100-0012', '100-0024', '100-0034'],
        '830-0001' => ['200-0001'],
        '830-0002' => ['300-0001'],
        '830-0003' => ['100-0012', '100-0024', '100-0034'],
        '830-0010' => ['100-0012'],
        '830-0011' => ['100-0024'],
        '830-0012' => ['100-0034'],
        '840-0001' => ['100-0012', '100-0024'],
        '840-0002' => ['100-0034'],
        '850-0001' => ['200-0050'],
        '850-0004' => ['310-0002'],
    ];

    /** @var array<string, Item> by number */
    private array $items;

    public function run(): void
    {
        $this->items = Item::query()
            ->with(['revisions', 'released'])
            ->get()
            ->keyBy('number')
            ->all();
        $this->drawings();
        foreach (self::WRITTEN as $document => $described) {
            foreach ($described as $number) {
                $this->link($number, $document, false);
            }
        }
        foreach (['820-0001', '820-0002', '830-0001', '850-0001', '850-0004'] as $number) {
            self::file($this->items[$number], 'application/pdf', "{$number}.pdf", DemoSheet::pdf($this->pages($number)), FileRole::Sheet);
        }
        $head = $this->items['200-0010'];
        self::file(
            $head,
            FileContent::MODEL,
            '200-0010.stp',
            DemoModels::pumpHead(before: true),
            FileRole::Model,
            of: $head->revisions->firstWhere('status', RevisionStatus::Superseded),
        );
        $model = self::file($head, FileContent::MODEL, '200-0010.stp', DemoModels::pumpHead(before: false), FileRole::Model);
        // The first worker that comes draws it.
        DrawThumbnail::dispatch($model)->onConnection('database');
        self::file(
            $this->items['200-0050'],
            'application/pdf',
            'gear-motor-12V.pdf',
            DemoSheet::pdf($this->pages('850-0001')),
            FileRole::DataSheet,
        );
    }

    private function drawings(): void
    {
        $byTitle = [];
        foreach ($this->items as $item) {
            if (!isset($byTitle[$item->title]) && $item->kind->value !== 'drawing') {
                $byTitle[$item->title] = $item;
            }
        }
        $ids = array_filter(array_map(static fn(Item $item): ?int => $item->released?->id, $this->items));
        $structures = (new StructureReader())->ofRevisions(array_values($ids));
        foreach ($this->items as $drawing) {
            $of = $byTitle[substr($drawing->title, 9)] ?? null;
            if ($drawing->kind->value !== 'drawing' || $of === null) {
                continue;
            }
            $this->link($of->number, $drawing->number, in_array($of->number, self::BEHIND, true));
            $parts = array_values(
                array_map(
                    fn(Line $line): array => [
                        'find' => $line->find,
                        'number' => $line->component,
                        'title' => $this->items[$line->component]->title,
                        'quantity' => "{$line->quantity} {$line->unit->value}",
                    ],
                    ($structures[$of->released->id ?? 0] ?? null)->lines ?? [],
                ),
            );
            self::file(
                $drawing,
                'image/svg+xml',
                "{$drawing->number}.svg",
                DemoSheet::svg(
                    [
                        'number' => $drawing->number,
                        'title' => $of->title,
                        'of' => $of->number,
                        'revision' => (string) $drawing->released?->code,
                        'date' => (string) $drawing->released?->effective_from,
                        'material' => $of->material ?? 'as listed',
                    ],
                    $parts,
                ),
                FileRole::Sheet,
            );
        }
    }

    private function link(string $item, string $document, bool $behind): void
    {
        $revisions = $this->items[$item]->revisions;
        $before = $behind ? $revisions->firstWhere('status.value', 'superseded') : null;
        ItemDocument::query()->create([
            'item_id' => $this->items[$item]->id,
            'document_id' => $this->items[$document]->id,
            'shows_revision_id' => $before->id ?? $this->items[$item]->released?->id,
        ]);
    }

    /**
     * @param  ?int  $draftOf  the order under which it is worked on
     * @param  ?Revision  $of  the one in force, where neither is said
     * @return string the id of the file
     */
    public static function file(
        Item $item,
        string $type,
        string $name,
        string $content,
        FileRole $role,
        ?int $draftOf = null,
        ?Revision $of = null,
    ): string {
        $revision = $draftOf === null ? $of ?? $item->released : null;
        $id = (string) Str::uuid7();
        DB::insert("INSERT INTO stored_files (id, content) VALUES (?, decode(?, 'base64'))", [$id, base64_encode($content)]);
        DB::table('item_files')->insert([
            'id' => ($file = (string) Str::uuid7()),
            'item_id' => $item->id,
            'revision_id' => $revision?->id,
            'order_id' => $draftOf,
            'role' => $role->value,
            'name' => $name,
            'media_type' => $type,
            'bytes' => strlen($content),
            'sha256' => hash('sha256', $content),
            'file_id' => $id,
            'brought_at' => $revision === null ? now() : $revision->released_at,
        ]);

        return $file;
    }

    /** @return list<string> */
    private function pages(string $number): array
    {
        $title = htmlspecialchars($this->items[$number]->title);

        return str_starts_with($number, '850')
            ? [
                "<h1>{$title}</h1><p>Almroth Drives and others, as supplied to Quillback Field Instruments</p><table><tr><th>Property</th><th>Value</th></tr><tr><td>Rated voltage</td><td>12 V</td></tr><tr><td>Speed, no load</td><td>86 / min</td></tr><tr><td>Rated torque</td><td>1.4 Nm</td></tr><tr><td>Operating temperature</td><td>−20 … 60 °C</td></tr></table>",
                '<h1>Dimensions and connection</h1><p>Shaft 6 mm with flat. Four fixing holes M4 on a circle of 32 mm. Leads 200 mm, red plus, black minus.</p>',
            ]
            : [
                "<h1>{$title}</h1><p>Document {$number}. For the work place: read every step before you begin.</p><ol><li>Lay out the kit and check it against the list.</li><li>Check the revision on the label of the kit.</li><li>Clean the sealing faces.</li><li>Fit the parts in the order of the find numbers.</li></ol>",
                '<h1>Check</h1><table><tr><th>What</th><th>How</th><th>Good if</th></tr><tr><td>Runs freely</td><td>by hand</td><td>no grinding</td></tr><tr><td>Tight</td><td>0.5 bar, 60 s</td><td>no bubbles</td></tr></table>',
                '<h1>Record</h1><p>Write the serial number, the revision and your name on the card of the unit.</p>',
            ];
    }
}
