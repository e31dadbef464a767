<?php

declare(strict_types=1);

namespace App\Forms\Docx;

use App\Forms\FormFile;
use Orthotaxis\Core\Form\RecordField;

/** One control of every kind, to begin a template with: copied, moved and renamed in a word processor. */
final readonly class BlankForm
{
    public static function make(): Draft
    {
        $draft = new Draft();
        $draft->heading('A new form')->words('Form ', $draft->text(FormFile::CODE_TAG, 'Form', 'which form it is stands here', true));
        $rows = [];
        foreach (RecordField::cases() as $field) {
            $label = ucfirst(str_replace('_', ' ', $field->value));
            $rows[] = [
                Draft::cell($label, true),
                match ($field) {
                    RecordField::Description, RecordField::Finding, RecordField::Items => $draft->lines($field->value, $label),
                    RecordField::Priority, RecordField::Reason, RecordField::Source, RecordField::Site => $draft->choice(
                        $field->value,
                        $label,
                        [],
                    ),
                    default => $draft->text($field->value, $label),
                },
            ];
        }

        return $draft
            ->heading('From the record', 2)
            ->table([2600, 7200], $rows)
            ->heading('To fill in', 2)
            ->table(
                [2600, 7200],
                [
                    [Draft::cell('A remark', true), $draft->text('remark', 'A remark')],
                    [Draft::cell('A box to tick', true), $draft->check('box', 'A box to tick')],
                    [Draft::cell('A day', true), $draft->day('day', 'A day')],
                    [Draft::cell('One of the items', true), $draft->choice('item', 'One of the items', [])],
                    [Draft::cell('A picture', true), $draft->picture('picture', 'A picture')],
                ],
            );
    }
}
