<?php

declare(strict_types=1);

use App\Documents\Models\ItemFile;
use App\Files\StoredFile;
use App\Packages\Jobs\MakePackage;
use App\Packages\Models\ReleasePackage;
use App\Sheets\Models\SheetAddress;
use Database\Seeders\DemoSheet;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\Feature\Support\World;

const SHEET_SVG = '<svg xmlns="http://www.w3.org/2000/svg" width="297mm" height="210mm" viewBox="0 0 297 210"><text x="20" y="90" font-size="20">Pump head</text></svg>';

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    /** A sheet of the revision that holds. */
    $this->sheet = function (string $content = SHEET_SVG, string $type = 'image/svg+xml', string $name = 'head A.svg'): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, $content);
        $id = (string) Str::uuid7();
        DB::table('item_files')->insert([
            'id' => $id,
            'item_id' => $this->world->items['200-0010'],
            'revision_id' => DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id'),
            'role' => 'sheet',
            'name' => $name,
            'media_type' => $type,
            'bytes' => strlen($content),
            'sha256' => hash('sha256', $content),
            'file_id' => StoredFile::keep($path),
            'person_id' => $this->world->people['edda']->id,
            'brought_at' => World::day(-365),
        ]);

        return $id;
    };
    /** The text of a PDF, and what is said of it. */
    $this->read = static function (string $pdf, string ...$program): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($path, $pdf);
        $process = new Process([...$program, $path, ...$program[0] === 'pdftotext' ? ['-'] : []]);
        $process->mustRun();

        return $process->getOutput();
    };
    $this->stamped = fn(string $file, string $query = ''): string => (string) $this->world
        ->only('vera', 'GET', "/files/{$file}/stamped{$query}")
        ->assertOk()
        ->getContent();
    $this->address = fn(string $file): string => $this->world
        ->only('jonas', 'POST', "/files/{$file}/address")
        ->assertOk()
        ->json('address');
    /** What somebody without an account sees. */
    $this->scan = fn(string $address) => $this->get((string) parse_url($address, PHP_URL_PATH));
    /** An order that brings a new sheet, released. */
    $this->release = function (): string {
        $order = $this->world->opened();
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world->sends('jonas', '/items/200-0010/files', [
            'role' => 'sheet',
            'file' => UploadedFile::fake()->createWithContent('head B.svg', SHEET_SVG),
        ]);
        $this->world->released($order);

        return $order;
    };
    /** @return array<string, string> what is in a package, by name */
    $this->unpacked = function (string $order, int $id): array {
        ob_start();
        $this->world
            ->only('vera', 'GET', "/orders/{$order}/packages/{$id}/file")
            ->assertOk()
            ->baseResponse->sendContent();
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, (string) ob_get_clean());
        $zip = new ZipArchive();
        expect($zip->open($path))->toBeTrue();
        $files = [];
        for ($at = 0; $at < $zip->count(); $at++) {
            $files[(string) $zip->getNameIndex($at)] = (string) $zip->getFromIndex($at);
        }

        return $files;
    };
});

it('is stamped with the status of the day and its history, in any language that is set up', function (): void {
    $sheet = ($this->sheet)();
    $pdf = ($this->stamped)($sheet);
    expect(($this->read)($pdf, 'pdftotext', '-layout'))
        ->toContain('IN FORCE')
        ->toContain('200-0010 A')
        ->toContain('History of revisions')
        ->toContain('First release')
        ->toContain('Edda')
        ->and(($this->read)($pdf, 'pdfinfo'))
        ->toContain('Pages:           2')
        ->and($pdf)
        ->toContain('pdfaid:part>3<')
        ->toContain('pdfaid:conformance>B<')
        ->toContain('/OutputIntent');
    // Every font is in it.
    preg_match_all('/ (yes|no) +(?:yes|no) +(?:yes|no) +\d+ +\d+$/m', ($this->read)($pdf, 'pdffonts'), $fonts);
    expect(count($fonts[1]))
        ->toBeGreaterThan(1)
        ->and(array_unique($fonts[1]))
        ->toBe(['yes'])
        ->and(($this->read)(($this->stamped)($sheet, '?language=de'), 'pdftotext', '-layout'))
        ->toContain('GÜLTIG')
        ->toContain('Änderungsverzeichnis');
    $this->world
        ->only('vera', 'GET', "/files/{$sheet}/stamped?language=tlh")
        ->assertStatus(422)
        ->assertJsonPath('errors.language.0', 'Documents are written in en, de.');
});

it('tells what was done to it in the language that it is printed in, as somebody has said it', function (): void {
    World::planningTakes();
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent('head B.svg', SHEET_SVG),
    ]);
    $said = fn(string $by, array $texts) => $this->world->only($by, 'PUT', "/orders/{$order}/done", [
        'texts' => $texts,
        'version' => $this->world->version($order),
    ]);
    $text = static fn(string $text, string $language = 'en', string $item = '200-0010'): array => compact('item', 'language', 'text');
    $digest = fn(): string => $this->world->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
    $before = $digest();
    $said('jonas', [$text('Eight screws'), $text('Acht Schrauben', 'de')])->assertOk();
    // It is part of what is signed.
    expect($digest())->not->toBe($before);
    $said('mira', [$text('Eight screws now')])->assertOk();
    $said('vera', [$text('Nothing')])->assertForbidden();
    $said('edda', [$text('Nothing')])->assertUnprocessable();
    foreach (
        [
            [$text('x', 'tlh'), 'texts.0.language'],
            [$text('x', 'en', '200-0042'), 'texts.0.item'],
            [$text(str_repeat('x', 201)), 'texts.0.text'],
        ]
        as [$wrong, $at]
    ) {
        expect(
            $said('mira', [$wrong])
                ->assertUnprocessable()
                ->json('errors'),
        )->toHaveKey($at);
    }
    $this->world->as('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();
    $said('mira', [$text('Too late')])->assertUnprocessable();
    $this->world->as('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest()])->assertOk();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $this->travelTo(World::day(31));
    $revision = DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->where('code', 'B')->first();
    expect($revision->reason)->toBe('Eight screws now');
    $sheet = (string) ItemFile::query()->where('revision_id', $revision->id)->value('id');
    $print = fn(string $language): string => ($this->read)(($this->stamped)($sheet, "?language={$language}"), 'pdftotext', '-layout');
    expect($print('en'))
        ->toContain('Eight screws now')
        ->toContain('First release')
        ->and($print('de'))
        ->toContain('Acht Schrauben')
        ->not->toContain('Eight screws');
});

it('is stamped on every page of a PDF, and a picture too; what cannot be drawn is said', function (): void {
    $three = ($this->sheet)(DemoSheet::pdf(['<h1>One</h1>', '<h1>Two</h1>']), 'application/pdf', 'head.pdf');
    $text = ($this->read)(($this->stamped)($three), 'pdftotext', '-layout');
    expect(substr_count($text, 'IN FORCE'))
        ->toBe(3)
        ->and($text)
        ->toContain('Page 1/2')
        ->toContain('Page 2/2')
        ->toContain('One')
        ->toContain('Two');
    $picture = imagecreatetruecolor(60, 40);
    ob_start();
    imagepng($picture);
    $png = ($this->sheet)((string) ob_get_clean(), 'image/png', 'head.png');
    expect(($this->read)(($this->stamped)($png), 'pdfimages', '-list'))->toContain('60    40');
    $broken = ($this->sheet)('%PDF-1.5 nothing', 'application/pdf', 'broken.pdf');
    $this->world
        ->only('vera', 'GET', "/files/{$broken}/stamped")
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', 'broken.pdf cannot be drawn. Open the file as it was uploaded.');
});

it('tells whoever scans an old print that it is superseded, from which day and by what, and nothing else', function (): void {
    $sheet = ($this->sheet)();
    $address = ($this->address)($sheet);
    expect(($this->address)($sheet))->toBe($address);
    ($this->scan)($address)->assertOk()->assertSee('IN FORCE')->assertSee('valid from')->assertSee('.pdf');
    ($this->scan)("{$address}.pdf")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');

    $order = ($this->release)();
    ($this->scan)($address)->assertOk()->assertSee('IN FORCE')->assertSee('then B, from');
    $coming = (string) ItemFile::query()->where('name', 'head B.svg')->value('id');
    ($this->scan)(($this->address)($coming))->assertOk()->assertSee('COMING');

    $this->travel(31)->days();
    $old = ($this->scan)($address)
        ->assertOk()
        ->assertSee('SUPERSEDED')
        ->assertSee('replaced by B from ' . Orthotaxis\Core\Calendar\Day::parse(World::day(-1))->spelled())
        ->assertDontSee('.pdf')
        ->assertDontSee($order)
        ->assertDontSee('Helen')
        ->assertHeader('Cache-Control', 'no-store, private');
    expect((string) $old->headers->get('Content-Security-Policy'))->toContain("default-src 'none'");
    // The sheet itself is not to be had any more; who asks for it is told why.
    ($this->scan)("{$address}.pdf")
        ->assertOk()
        ->assertSee('SUPERSEDED');
    expect(($this->read)(($this->stamped)($sheet), 'pdftotext', '-layout'))
        ->toContain('SUPERSEDED')
        ->toContain('replaced by B from')
        ->and(($this->read)(($this->stamped)($coming), 'pdftotext', '-layout'))
        ->toContain("Order {$order}")
        ->toContain('Signed by Helen')
        ->toContain('First release');
    $this->withHeader('Accept-Language', 'de')
        ->get((string) parse_url($address, PHP_URL_PATH))
        ->assertSee('ERSETZT')
        ->assertSee('ersetzt durch B ab');
});

it('has an address that is withdrawn for good, of nothing that is a draft, by those who may', function (): void {
    $sheet = ($this->sheet)();
    $this->world->only('vera', 'POST', "/files/{$sheet}/address")->assertStatus(403);
    $address = ($this->address)($sheet);
    expect(SheetAddress::query()->value('key_hash'))
        ->toBe(hash('sha256', substr($address, -32)))
        ->and(DB::table('sheet_addresses')->value('key'))
        ->not->toContain(substr($address, -32));
    $this->world->only('vera', 'DELETE', "/files/{$sheet}/address")->assertStatus(403);
    $this->world
        ->only('jonas', 'DELETE', "/files/{$sheet}/address")
        ->assertOk()
        ->assertJsonPath('address', null);
    ($this->scan)($address)->assertNotFound()->assertSee('withdrawn')->assertDontSee('200-0010');
    ($this->scan)("{$address}.pdf")->assertNotFound();
    $this->world->only('jonas', 'DELETE', "/files/{$sheet}/address")->assertStatus(422);
    expect(($this->address)($sheet))->not->toBe($address);
    ($this->scan)('/s/' . str_repeat('0', 32))
        ->assertNotFound()
        ->assertSee('There is no such sheet');
    $order = $this->world->opened();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent('draft.svg', SHEET_SVG),
    ]);
    $draft = (string) ItemFile::query()->whereNull('revision_id')->where('order_id', '>', 0)->value('id');
    $this->world
        ->only('jonas', 'POST', "/files/{$draft}/address")
        ->assertStatus(422)
        ->assertJsonPath('errors.file.0', 'A draft has no address: nobody outside is to hold one.');
    expect(($this->read)(($this->stamped)($draft), 'pdftotext', '-layout'))
        ->toContain('DRAFT')
        ->toContain('Not to be built or bought from');
    expect(DB::table('ledger')->where('act', 'like', 'sheet.%')->orderBy('number')->pluck('act')->all())->toBe([
        'sheet.address_made',
        'sheet.address_withdrawn',
        'sheet.address_made',
    ]);
    expect($order)->not->toBe('');
});

it('packs all that an order released, so that a stranger can check it with openssl', function (): void {
    $order = ($this->release)();
    $this->world->only('mira', 'POST', "/orders/{$order}/packages", ['language' => 'de'])->assertOk();
    $package = $this->world
        ->only('vera', 'GET', "/orders/{$order}/packages")
        ->assertOk()
        ->json('packages.0');
    expect($package['state'])->toBe('done')->and($package['progress'])->toBe(100);
    $files = ($this->unpacked)($order, $package['id']);
    $day = World::day(0);
    expect(array_keys($files))
        ->toContain('ECN-00001.pdf', 'ECN-00001.json', 'change-list.csv', 'before-and-after.html', 'signatures.json', 'README.txt')
        ->toContain("sheets/200-0010_B_{$day}.pdf", 'originals/200-0010_B_head-B.svg', 'manifest.sig')
        ->and($files['originals/200-0010_B_head-B.svg'])
        ->toBe(SHEET_SVG)
        ->and($files['before-and-after.csv'])
        ->toContain('Artikel,Stückliste,Werk,Revision,Ab,Änderungsauftrag,Änderung,Position,Merkmal,Alt,Neu')
        ->toContain("200-0010,engineering,,B,{$this->world::day(30)},{$order},replace,line 10 200-0041,component,200-0040,200-0041")
        ->and($files['before-and-after.html'])
        ->toContain('Konstruktion')
        ->and(json_decode($files['signatures.json'], true)[0]['person'])
        ->toBe('Helen')
        ->and(($this->read)($files["sheets/200-0010_B_{$day}.pdf"], 'pdftotext', '-layout'))
        ->toContain('KÜNFTIG');
    // The hand-over is in it as it was sent.
    $sent = DB::table('handover_files')->where('format', 'xml')->value('content');
    expect(array_values(array_filter($files, static fn(string $name): bool => str_ends_with($name, '.xml'), ARRAY_FILTER_USE_KEY)))->toBe([
        $sent,
    ]);

    // As a stranger does it.
    $folder = sys_get_temp_dir() . '/' . Str::random();
    foreach ($files as $name => $content) {
        @mkdir(dirname("{$folder}/{$name}"), recursive: true);
        file_put_contents("{$folder}/{$name}", $content);
    }
    $check = static function () use ($folder): array {
        $sums = new Process(['sha256sum', '--check', '--quiet', 'manifest.txt'], $folder);
        $seal = new Process(
            ['openssl', 'dgst', '-sha256', '-verify', 'house-key.pem', '-signature', 'manifest.sig', 'manifest.txt'],
            $folder,
        );

        return [$sums->run(), $seal->run()];
    };
    expect($check())->toBe([0, 0]);
    // All but the manifest and its signature is in the manifest.
    expect(substr_count($files['manifest.txt'], "\n"))->toBe(count($files) - 2);
    file_put_contents("{$folder}/change-list.csv", 'another');
    expect($check()[0])->not->toBe(0);
    file_put_contents("{$folder}/manifest.txt", str_replace('change-list.csv', 'change-list.txt', $files['manifest.txt']));
    expect($check()[1])->not->toBe(0);
});

it('lists what differed revision by revision', function (): void {
    ($this->release)();
    $this->travel(31)->days();
    $order = $this->world->opened();
    $this->world->edit($order, 'change', 20, ['quantity' => '3'])->assertOk();
    $this->world->released($order);
    $this->world->only('mira', 'POST', "/orders/{$order}/packages", ['language' => 'en'])->assertOk();
    $list = ($this->unpacked)($order, (int) ReleasePackage::query()->value('id'))['change-list.csv'];
    expect(explode("\r\n", trim($list)))
        ->toHaveCount(3)
        ->and($list)
        ->toContain(',B,')
        ->toContain('component,200-0040,200-0041')
        ->toContain(',C,')
        ->toContain('line 20 200-0042,quantity,2,3');
});

it('is packed for who may, of what is released, once at a time, and not when it is cancelled', function (): void {
    $order = $this->world->signed();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/packages", ['language' => 'en'])
        ->assertStatus(422)
        ->assertJsonValidationErrors(['order' => 'not released yet']);
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $this->world->only('vera', 'POST', "/orders/{$order}/packages", ['language' => 'en'])->assertStatus(403);
    foreach ([[], ['language' => 'xx'], ['language' => ['en']]] as $body) {
        $this->world
            ->only('mira', 'POST', "/orders/{$order}/packages", $body)
            ->assertStatus(422)
            ->assertJsonValidationErrors('language');
    }
    Queue::fake();
    $this->world->only('mira', 'POST', "/orders/{$order}/packages", ['language' => 'en'])->assertOk();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/packages", ['language' => 'en'])
        ->assertStatus(422)
        ->assertJsonPath('errors.language.0', 'This package is being made already.');
    $id = (int) ReleasePackage::query()->value('id');
    $this->world->only('vera', 'DELETE', "/orders/{$order}/packages/{$id}")->assertStatus(403);
    $this->world->only('mira', 'DELETE', "/orders/{$order}/packages/{$id}")->assertOk();
    app()->call([new MakePackage($id), 'handle']);
    expect(ReleasePackage::query()->sole())
        ->state->value->toBe('cancelled')
        ->file_id->toBeNull();
    $this->world->only('vera', 'GET', "/orders/{$order}/packages/{$id}/file")->assertNotFound();
});

it('is held against the structure that it shows on its day, and a draft against what its order makes of it', function (): void {
    $row = static fn(
        int $at,
        string $find,
        string $item,
        string $quantity,
    ): string => "<g transform='translate(200 {$at})'><text x='0' y='0'>{$find}</text><text x='20' y='0'>{$item}</text><text x='60' y='0.1'>{$quantity}</text></g>";
    $balloon = static fn(
        int $at,
        string $find,
    ): string => "<circle cx='{$at}' cy='50' r='6'/><text x='{$at}' y='51.5' text-anchor='middle'>{$find}</text>";
    $svg = static fn(string ...$body): string => "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 420 297'>" .
        implode('', $body) .
        '</svg>';
    $rows = [$row(20, '10', '200-0040', '0.5 m'), $row(26, '20', '200-0042', '2 pc'), $row(32, '30', '600-0014', '6 pc')];
    $balloons = [$balloon(40, '10'), $balloon(80, '20'), $balloon(120, '30')];
    $found = fn(string $file): array => $this->world
        ->only('vera', 'GET', "/files/{$file}/parts-list")
        ->assertOk()
        ->json();
    $whole = $found(($this->sheet)($svg(...$rows, ...$balloons)));
    expect($whole)->toBe([
        ['item' => '200-0010', 'title' => 'Pump head', 'revision' => 'A', 'rows' => 3, 'balloons' => 3, 'findings' => []],
    ]);
    $wrong = $found(($this->sheet)($svg($rows[0], $row(26, '20', '200-0042', '3 pc'), $rows[2], $balloons[0], $balloons[2])));
    expect(array_map(static fn(array $one): array => [$one['kind'], $one['find'], $one['sheet']], $wrong[0]['findings']))->toBe([
        ['other_quantity', '20', '3'],
        ['missing_balloon', '20', ''],
    ]);
    // A document of pages: its texts are read where they stand.
    $cells = static fn(string ...$of): string => '<tr><td>' . implode('</td><td>', $of) . '</td></tr>';
    $pdf = DemoSheet::pdf(['<table>' . $cells('10', '200-0040', 'Tube', '0.5 m') . $cells('20', '200-0042', 'Clamp', '2 pc') . '</table>']);
    expect(array_column($found(($this->sheet)($pdf, 'application/pdf', 'head.pdf'))[0]['findings'], 'kind'))->toBe(['missing_row']);
    expect($found(($this->sheet)(SHEET_SVG)))->toBe([]);

    $order = $this->world->opened();
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent('old rows.svg', $svg(...$rows, ...$balloons)),
    ]);
    $draft = $found((string) ItemFile::query()->where('name', 'old rows.svg')->value('id'));
    expect($draft[0]['revision'])
        ->toBe('B')
        ->and(array_map(static fn(array $one): array => [$one['kind'], $one['item']], $draft[0]['findings']))
        ->toBe([['missing_row', '200-0041'], ['extra_row', '200-0040']]);
});
