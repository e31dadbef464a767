<?php

declare(strict_types=1);

namespace App\Forms\Actions;

use App\Files\StoredFile;
use App\Forms\Events\FormHandedOut;
use App\Forms\Events\FormWithdrawn;
use App\Forms\FormFile;
use App\Forms\Models\FormTemplate;
use App\Forms\Models\HandedForm;
use App\Forms\RecordValues;
use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\Filling;
use Orthotaxis\Core\Form\FormState;
use Orthotaxis\Core\Refusal;

/** Fills a template from a request, for somebody without an account; and withdraws what was handed out. */
final readonly class HandOutForm
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger) {}

    public function out(Person $by, string $request, int $template): HandedForm
    {
        return $this->ledger->together(function () use ($by, $request, $template): HandedForm {
            $held = ChangeRequest::hold($request);
            if (!$held->state->isAssessed()) {
                throw Refusal::at('request', "{$request} is not being assessed.");
            }
            $chosen =
                FormTemplate::query()->where('offered', true)->find($template) ??
                throw Refusal::at('template', 'This template is not offered any more.');
            if ($chosen->reasons !== [] && !in_array($held->reason, $chosen->reasons, true)) {
                throw Refusal::at('template', "{$chosen->name} is not for requests of this kind.");
            }
            $number = $this->numbers->next('form');
            $code = "{$number}-" . bin2hex(random_bytes(6));
            $values = RecordValues::of($held, $by);
            $fillings = [FormFile::CODE_TAG => new Filling($code)];
            foreach ($chosen->mappings() as $mapping) {
                if ($mapping->fill !== null) {
                    $fillings[$mapping->tag] = $values[$mapping->fill->value];
                }
            }
            [$fileId, $handed] = StoredFile::with($chosen->file_id, static function (string $path) use ($fillings): array {
                $filled = "{$path}-filled";
                try {
                    $file = FormFile::open($path);
                    $file->save($file->sheet->filled($fillings), $filled);
                    $made = FormFile::open($filled);

                    return [
                        StoredFile::keep($filled),
                        array_map(static fn(Control $control): string => $control->value, $made->withPictures($made->sheet->controls())),
                    ];
                } finally {
                    @unlink($filled);
                }
            });
            $form = HandedForm::query()->create([
                'number' => $number,
                'code' => $code,
                'request_id' => $held->id,
                'template_id' => $chosen->id,
                'template_sha256' => $chosen->sha256,
                'file_id' => $fileId,
                'handed' => $handed,
                'handed_by' => $by->id,
                'handed_at' => CarbonImmutable::now(),
            ]);
            event(new FormHandedOut($by->login, $request, $number, $chosen->name));

            return $form->refresh();
        });
    }

    /** From then on it is refused when it comes back. */
    public function withdraw(Person $by, string $number): HandedForm
    {
        return $this->ledger->together(function () use ($by, $number): HandedForm {
            $form = HandedForm::hold($number);
            if ($form->state !== FormState::Out) {
                throw Refusal::at('form', "{$number} is not issued any more.");
            }
            $form->update(['state' => FormState::Withdrawn, 'settled_by' => $by->id, 'settled_at' => CarbonImmutable::now()]);
            event(new FormWithdrawn($by->login, $form->request->number, $number));

            return $form;
        });
    }
}
