<?php

declare(strict_types=1);

use App\Files\Drawn;
use App\Files\StoredFile;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    World::planningTakes();
    $this->file = function (string $content, string $type = 'image/svg+xml', bool $released = true): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, $content);
        DB::table('item_files')->insert([
            'id' => ($id = (string) Str::uuid7()),
            'item_id' => $this->world->items['200-0010'],
            'revision_id' => $released ? DB::table('revisions')->where('item_id', $this->world->items['200-0010'])->value('id') : null,
            'role' => 'sheet',
            'name' => 'head.' . substr(strrchr($type, '/') ?: '', 1, 3),
            'media_type' => $type,
            'bytes' => strlen($content),
            'sha256' => hash('sha256', $content),
            'file_id' => StoredFile::keep($path),
            'person_id' => $this->world->people['edda']->id,
            'brought_at' => World::day(-365),
        ]);

        return $id;
    };
    $this->compare = fn(string $before, string $after, int $page = 1) => $this->world->only(
        'vera',
        'GET',
        "/files/{$before}/against/{$after}?page={$page}",
    );
    /** Both ways of places: zone, kind, texts. */
    $this->told = fn(string $before, string $after, int $page = 1): array => array_map(
        static fn(array $one): string => "{$one['zone']} {$one['kind']} " . implode('|', $one['went']) . '>' . implode('|', $one['came']),
        ($this->compare)($before, $after, $page)->assertOk()->json('places'),
    );
});

/** A sheet of 420 by 297 mm whose unit is half a millimetre. */
function a3(string $body, string $style = 'text{font-size:8px}'): string
{
    return "<svg xmlns='http://www.w3.org/2000/svg' width='420mm' height='297mm' viewBox='0 0 840 594'><style>{$style}</style><rect x='20' y='20' width='800' height='554' fill='none' stroke='#000'/>{$body}</svg>";
}

/** @param  list<string>  $pages  a line of text each, and a line drawn under it */
function drawnPdf(array $pages): string
{
    $pdf = new TCPDF('L', 'mm', 'A4');
    $pdf->setPrintHeader(false);
    $pdf->setPrintFooter(false);
    foreach ($pages as $text) {
        $pdf->AddPage();
        $pdf->SetFont('helvetica', '', 14);
        $pdf->Text(40, 50, $text);
        $pdf->Line(20, 150, 200, 150);
    }

    return $pdf->Output('', 'S');
}

it('compares drawings element by element, wherever groups put them', function (): void {
    $hole = static fn(
        int $r,
    ): string => "<g transform='translate(100 50) rotate(90)'><circle cx='150' cy='-100' r='{$r}' fill='none' stroke='#000'/></g><text x='212' y='204'>&#216;{$r}</text>";
    $before = ($this->file)(a3($hole(6) . "<path d='M400 300l100 0a20 20 0 0 1 20 20v50z' fill='none' stroke='#000'/>"));
    $after = ($this->file)(
        a3($hole(8) . "<path d='M400 300l100 0a20 20 0 0 1 20 20v50z' fill='none' stroke='#000'/><text x='700' y='80'>Deburr</text>"),
    );
    expect(($this->told)($before, $after))->toBe(['A7 added >Deburr', 'C2 changed Ø6>Ø8']);
    ($this->compare)($before, $after)
        ->assertJsonPath('by', 'drawn')
        ->assertJsonPath('width_before', 420)
        ->assertJsonPath('places.1.number', 2);
    expect(($this->told)($before, $before))->toBe([]);
});

it('looks at what is seen where it is not known where something is drawn, or how it looks has changed', function (
    string $before,
    string $after,
): void {
    [$before, $after] = [($this->file)($before), ($this->file)($after)];
    ($this->compare)($before, $after)
        ->assertOk()
        ->assertJsonPath('by', 'seen')
        ->assertJsonCount(1, 'places')
        ->assertJsonPath('places.0.kind', 'added')
        ->assertJsonPath('places.0.zone', 'B6');
})->with([
    'something drawn twice' => [
        a3("<rect id='a' x='100' y='100' width='40' height='40'/>"),
        a3("<rect id='a' x='100' y='100' width='40' height='40'/><use href='#a' x='420' y='0'/>"),
    ],
    'another look' => [
        a3("<rect x='520' y='100' width='40' height='40' class='h'/>", '.h{fill:none}'),
        a3("<rect x='520' y='100' width='40' height='40' class='h'/>", '.h{fill:#000}'),
    ],
]);

it('compares documents page by page with the texts on them, and says which pages only one has', function (): void {
    $before = ($this->file)(drawnPdf(['Torque 4 Nm', 'Same']), 'application/pdf');
    $after = ($this->file)(drawnPdf(['Torque 6 Nm', 'Same', 'New']), 'application/pdf');
    expect(($this->told)($before, $after))
        ->toBe(['A2 changed 4>6'])
        ->and(($this->told)($before, $after, 2))
        ->toBe([]);
    ($this->compare)($before, $after, 3)
        ->assertOk()
        ->assertJsonPath('pages_before', 2)
        ->assertJsonPath('pages_after', 3)
        ->assertJsonPath('width_before', null)
        ->assertJsonPath('places', []);
    ($this->compare)($before, $after, 4)->assertUnprocessable()->assertJsonPath('errors.page.0', 'These sheets have 3 pages.');
    ($this->compare)($before, $after, 0)->assertUnprocessable()->assertJsonPath('errors.page.0', 'Pages are counted from 1.');
});

it('compares pictures, and tells what it cannot draw', function (): void {
    $picture = static function (int $x): string {
        $image = imagecreatetruecolor(840, 594);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 255, 255, 255));
        imagefilledrectangle($image, $x, 100, $x + 40, 140, 0);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    };
    $before = ($this->file)($picture(100), 'image/png');
    expect(($this->told)($before, ($this->file)($picture(640), 'image/png')))->toBe(['B2 removed >', 'B7 added >']);
    ($this->compare)($before, ($this->file)('no picture', 'image/png'))
        ->assertUnprocessable()
        ->assertJsonPath('errors.after.0', 'head.png cannot be drawn, or is too large. Open both files as they were uploaded.');
});

it('draws any page as a picture, as wide as asked', function (): void {
    $file = ($this->file)(drawnPdf(['One', 'Two']), 'application/pdf');
    $answer = $this->world->only('vera', 'GET', "/files/{$file}/page?page=2&width=400")->assertOk();
    expect($answer->headers->get('Content-Type'))
        ->toBe('image/png')
        ->and(getimagesizefromstring((string) $answer->getContent())[0] ?? 0)
        ->toBe(400);
    $this->world->only('vera', 'GET', "/files/{$file}/page?page=9")->assertUnprocessable();
    $this->world->only('vera', 'GET', "/files/{$file}/page?width=100000")->assertUnprocessable();
    // Larger pictures than can be opened are left alone.
    $path = (string) tempnam(sys_get_temp_dir(), 'huge');
    file_put_contents($path, "\x89PNG\r\n\x1a\n" . pack('N', 13) . 'IHDR' . pack('NNCCCCC', 20000, 20000, 8, 2, 0, 0, 0));
    expect(Drawn::png($path, 'image/png', 100))->toBeNull();
});

it('tells what sheets an order brings, and what was released last before each', function (): void {
    $order = $this->world->opened();
    $old = ($this->file)(a3(''));
    $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    $this->world->sends('jonas', '/items/200-0010/files', [
        'role' => 'sheet',
        'file' => UploadedFile::fake()->createWithContent('head B.svg', a3("<text x='700' y='80'>B</text>")),
    ]);
    $this->world
        ->as('vera', 'GET', "/orders/{$order}/sheets")
        ->assertOk()
        ->assertJsonCount(1)
        ->assertJsonPath('0.item', '200-0010')
        ->assertJsonPath('0.before.id', $old)
        ->assertJsonPath('0.after.name', 'head B.svg');
    // What came before any order had the item is brought by it too.
    $early = ($this->file)(a3(''), released: false);
    $this->world
        ->as('vera', 'GET', "/orders/{$order}/sheets")
        ->assertJsonCount(2)
        ->assertJsonPath('0.after.id', $early);
});
