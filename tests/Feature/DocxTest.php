<?php

declare(strict_types=1);

use App\Forms\Docx\BlankForm;
use App\Forms\Docx\Draft;
use App\Forms\Docx\Package;
use App\Forms\FormFile;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\ControlKind;
use Orthotaxis\Core\Form\RecordField;
use Orthotaxis\Core\Refusal;

beforeEach(function (): void {
    $this->path = (string) tempnam(sys_get_temp_dir(), 'docx-test-');
    $this->zip = function (Closure $change): string {
        (new Draft())->words('One ', (new Draft())->text('one', 'One'))->save($this->path);
        $zip = new ZipArchive();
        $zip->open($this->path);
        $change($zip);
        $zip->close();

        return $this->path;
    };
});

it('offers a blank form with a control for every field and of every kind', function (): void {
    BlankForm::make()->save($this->path);
    $controls = FormFile::open($this->path)->sheet->controls();
    expect(array_diff(array_column(RecordField::cases(), 'value'), array_keys($controls)))
        ->toBe([])
        ->and($controls)
        ->toHaveKey(FormFile::CODE_TAG)
        ->and(array_values(array_unique(array_map(static fn(Control $control): string => $control->kind->value, $controls))))
        ->toEqualCanonicalizing(array_column(ControlKind::cases(), 'value'))
        ->and(
            array_filter(
                array_map(static fn(Control $control): string => $control->kind === ControlKind::Picture ? '' : $control->value, $controls),
            ),
        )
        ->toBe([]);
    // The parts that the standard asks for are there, each well-formed.
    $zip = new ZipArchive();
    $zip->open($this->path);
    foreach (['[Content_Types].xml', '_rels/.rels', 'word/document.xml', 'word/styles.xml', 'word/_rels/document.xml.rels'] as $part) {
        expect((new DOMDocument())->loadXML((string) $zip->getFromName($part)))->toBeTrue();
    }
    expect(getimagesizefromstring((string) FormFile::open($this->path)->picture($controls['picture'])))->toMatchArray([8, 5]);
});

it('opens no archive that could harm', function (Closure $change, string $why): void {
    $path = ($this->zip)($change);
    expect(static fn() => Package::open($path))->toThrow(Refusal::class, $why);
})->with([
    'macros' => [static fn(ZipArchive $zip) => $zip->addFromString('word/vbaProject.bin', 'x'), 'macros'],
    'active content' => [static fn(ZipArchive $zip) => $zip->addFromString('word/activeX/activeX1.xml', 'x'), 'macros'],
    'a part of gigabytes' => [
        static fn(ZipArchive $zip) => $zip->addFromString('word/media/a.png', str_repeat('a', 20_000_001)),
        'too large',
    ],
    'many large parts' => [
        static function (ZipArchive $zip): void {
            for ($i = 0; $i < 4; $i++) {
                $zip->addFromString("word/media/{$i}.png", str_repeat('a', 19_000_000));
            }
        },
        'too large',
    ],
    'thousands of parts' => [
        static function (ZipArchive $zip): void {
            for ($i = 0; $i < 600; $i++) {
                $zip->addFromString("word/x{$i}.xml", 'x');
            }
        },
        'too large',
    ],
    'no text' => [static fn(ZipArchive $zip) => $zip->deleteName('word/document.xml'), 'Not a DOCX'],
]);

it('keeps every other part when the text changes, and takes a picture only from inside', function (): void {
    $path = ($this->zip)(static fn(ZipArchive $zip) => $zip->addFromString('customXml/own.xml', '<own/>'));
    $to = "{$path}-changed";
    $package = Package::open($path);
    $package->withBody(str_replace('One ', 'Two ', $package->body()), $to);
    $zip = new ZipArchive();
    $zip->open($to);
    expect($zip->getFromName('customXml/own.xml'))
        ->toBe('<own/>')
        ->and(Package::open($to)->body())
        ->toContain('Two ')
        ->and($package->picture('rIdPicture'))
        ->not->toBeNull()
        ->and($package->picture('none'))
        ->toBeNull()
        ->and($package->picture(''))
        ->toBeNull();
    $outside = ($this->zip)(
        static fn(ZipArchive $zip) => $zip->addFromString(
            'word/_rels/document.xml.rels',
            '<Relationships xmlns="x"><Relationship Id="a" Target="../../../etc/hostname"/><Relationship Id="b" Target="http://elsewhere.example/a.png" TargetMode="External"/></Relationships>',
        ),
    );
    expect(Package::open($outside)->picture('a'))
        ->toBeNull()
        ->and(Package::open($outside)->picture('b'))
        ->toBeNull();
});
