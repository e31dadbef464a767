<?php

declare(strict_types=1);

namespace Tests;

use App\Forms\Docx\Package;
use App\Forms\FormFile;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\Filling;
use Orthotaxis\Core\Form\FormSheet;
use ZipArchive;

/** A form in the hands of somebody who fills it in, without us. Every change is another file. */
final readonly class FilledForm
{
    public string $path;

    public function __construct(public string $number, string $from)
    {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'filled-form-');
        copy($from, $this->path);
    }

    public static function of(string $content): self
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'filled-form-');
        file_put_contents($path, $content);

        return new self('', $path);
    }

    /** @return array<string, string> */
    public function values(): array
    {
        return array_map(static fn(Control $control): string => $control->value, FormFile::open($this->path)->sheet->controls());
    }

    /** @return array<string, string> */
    public function options(string $tag): array
    {
        return FormFile::open($this->path)->sheet->controls()[$tag]->options;
    }

    /** @param  array<string, string>  $values  a box is ticked with "yes" */
    public function write(array $values): self
    {
        $body = Package::open($this->path)->body();
        foreach ($values as $tag => $value) {
            $body = match (true) {
                $value === 'yes' => (string) preg_replace("~(<w:tag w:val=\"{$tag}\"/>.*?<w14:checked w14:val=\")0~s", '${1}1', $body, 1),
                $value === '' => (string) preg_replace(
                    "~(<w:tag w:val=\"{$tag}\"/>.*?<w:sdtContent>).*?(</w:sdtContent>)~s",
                    '$1$2',
                    $body,
                    1,
                ),
                default => FormSheet::read($body)->filled([$tag => new Filling($value)]),
            };
        }

        return $this->withPart('word/document.xml', $body);
    }

    /** Puts a picture where the grey sheet is. */
    public function picture(string $tag, ?string $content = null): self
    {
        ob_start();
        imagepng(imagecreatetruecolor(7, 5));
        $png = (string) ob_get_clean();

        return $this->withPart('word/media/' . $tag . '.png', $content ?? $png)->withPart(
            'word/_rels/document.xml.rels',
            str_replace('media/picture.png', "media/{$tag}.png", $this->part('word/_rels/document.xml.rels')),
        );
    }

    public function without(string $tag): self
    {
        return $this->withPart(
            'word/document.xml',
            str_replace(
                "<w:tag w:val=\"{$tag}\"/>",
                '',
                (string) preg_replace(
                    '~<w:sdt>(?:(?!</w:sdt>).)*w:val="' . $tag . '"(?:(?!</w:sdt>).)*</w:sdt>~s',
                    '',
                    $this->part('word/document.xml'),
                ),
            ),
        );
    }

    public function withoutTags(): self
    {
        return $this->withPart(
            'word/document.xml',
            (string) preg_replace('~<w:(tag|alias) [^>]*/>~', '', $this->part('word/document.xml')),
        );
    }

    public function withPart(string $name, string $content): self
    {
        $copy = new self($this->number, $this->path);
        $zip = new ZipArchive();
        $zip->open($copy->path);
        $zip->addFromString($name, $content);
        $zip->close();

        return $copy;
    }

    private function part(string $name): string
    {
        $zip = new ZipArchive();
        $zip->open($this->path);

        return (string) $zip->getFromName($name);
    }
}
