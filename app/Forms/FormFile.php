<?php

declare(strict_types=1);

namespace App\Forms;

use App\Forms\Docx\Package;
use App\Forms\Models\HandedForm;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\ControlKind;
use Orthotaxis\Core\Form\FormSheet;

/** A form as a file: its controls, and the pictures in them. */
final readonly class FormFile
{
    /** The control that says which form it is. Every template has it. */
    public const CODE_TAG = 'form';

    private function __construct(private Package $package, public FormSheet $sheet) {}

    public static function open(string $path): self
    {
        $package = Package::open($path);

        return new self($package, FormSheet::read($package->body()));
    }

    /** What it was handed out under; null when it says nothing of the kind. */
    public function code(): ?string
    {
        foreach ($this->sheet->places() as $place) {
            if (preg_match(HandedForm::CODE, $place->value, $found) === 1) {
                return $found[0];
            }
        }

        return null;
    }

    /**
     * With the hash of its content in place of a picture's relationship.
     *
     * @param  array<string, Control>  $controls
     * @return array<string, Control>
     */
    public function withPictures(array $controls): array
    {
        return array_map(function (Control $control): Control {
            $picture = $control->kind === ControlKind::Picture ? $this->picture($control) : '';

            return $control->kind === ControlKind::Picture ? $control->saying($picture === '' ? '' : hash('sha256', $picture)) : $control;
        }, $controls);
    }

    public function picture(Control $control): string
    {
        return (string) $this->package->picture($control->value);
    }

    public function save(string $body, string $to): void
    {
        $this->package->withBody($body, $to);
    }
}
