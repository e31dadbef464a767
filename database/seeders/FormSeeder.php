<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Forms\Actions\HandOutForm;
use App\Forms\Actions\SetTemplate;
use App\Forms\Data\MappingRow;
use App\Forms\Docx\Draft;
use App\Forms\FormFile;
use App\Forms\Models\FormTemplate;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Seeder;

/** Two forms for people without an account, and one that a dealer has in hand. */
final class FormSeeder extends Seeder
{
    /** What both forms tell of the request. */
    private const TOLD = [
        ['tag' => 'number', 'label' => 'Request', 'fill' => 'number', 'use' => 'nothing'],
        ['tag' => 'raised_by', 'label' => 'Raised by', 'fill' => 'raised_by', 'use' => 'nothing'],
        ['tag' => 'title', 'label' => 'Title', 'fill' => 'title', 'use' => 'field', 'field' => 'title'],
        ['tag' => 'description', 'label' => 'What is asked', 'fill' => 'description', 'use' => 'nothing'],
        ['tag' => 'items', 'label' => 'Items', 'fill' => 'items', 'use' => 'nothing'],
        ['tag' => 'handed_by', 'label' => 'Send back to', 'fill' => 'handed_by', 'use' => 'nothing'],
    ];

    public function run(SetTemplate $templates, HandOutForm $forms): void
    {
        $administrator = Person::query()->where('login', 'ivo.tanner')->firstOrFail();
        $coordinator = Person::query()->where('login', 'mira.okafor')->firstOrFail();
        $field = $this->template($templates, $administrator, 'Field check', [], self::fieldCheck(), [
            ...self::TOLD,
            ['tag' => 'priority', 'label' => 'Priority', 'fill' => 'priority', 'use' => 'field', 'field' => 'priority'],
            ['tag' => 'seen', 'label' => 'Seen on the unit', 'use' => 'finding'],
            ['tag' => 'hours', 'label' => 'Hours of use', 'use' => 'finding'],
            ['tag' => 'silt', 'label' => 'The water carries silt', 'use' => 'finding'],
            ['tag' => 'seen_on', 'label' => 'Looked at on', 'use' => 'finding'],
            [
                'tag' => 'stock',
                'label' => 'Spares on the shelf',
                'use' => 'question',
                'function' => 'service',
                'topic' => 'stock',
                'text' => 'A dealer has spares of it on the shelf. What shall become of them?',
                'to' => 'service',
                'days' => 14,
                'text_tag' => 'stock_text',
                'due_tag' => 'stock_by',
                'item_tag' => 'item',
            ],
            ['tag' => 'stock_text', 'label' => 'How many spares', 'use' => 'nothing'],
            ['tag' => 'stock_by', 'label' => 'Answer wanted by', 'use' => 'nothing'],
            ['tag' => 'item', 'label' => 'Which item', 'fill' => 'items', 'use' => 'nothing'],
            [
                'tag' => 'visit',
                'label' => 'A visit is wanted',
                'use' => 'task',
                'kind' => 'other',
                'text' => 'Visit the dealer and look at the unit',
                'to' => 'group:quality',
                'days' => 7,
            ],
            ['tag' => 'photo', 'label' => 'Photo', 'use' => 'attachment'],
            ['tag' => 'filled_in_by', 'label' => 'Filled in by', 'use' => 'finding'],
        ]);
        $this->template(
            $templates,
            $administrator,
            'Supplier statement',
            ['end_of_life', 'cost_saving', 'defect'],
            self::supplierStatement(),
            [
                ...self::TOLD,
                ['tag' => 'can_deliver', 'label' => 'Can be delivered as asked', 'use' => 'finding'],
                ['tag' => 'from', 'label' => 'From', 'use' => 'finding'],
                ['tag' => 'remark', 'label' => 'Remark', 'use' => 'finding'],
                [
                    'tag' => 'price',
                    'label' => 'The price changes',
                    'use' => 'question',
                    'function' => 'purchasing',
                    'topic' => 'cost',
                    'text' => 'The supplier says that the price changes. To what?',
                    'to' => 'buyer',
                    'days' => 10,
                    'text_tag' => 'price_text',
                    'item_tag' => 'item',
                ],
                ['tag' => 'price_text', 'label' => 'Price', 'use' => 'nothing'],
                ['tag' => 'item', 'label' => 'Which item', 'fill' => 'items', 'use' => 'nothing'],
                [
                    'tag' => 'tool',
                    'label' => 'A new tool is needed',
                    'use' => 'question',
                    'function' => 'purchasing',
                    'topic' => 'tooling',
                    'text' => 'The supplier needs a new tool. Who pays, and how long does it take?',
                    'to' => 'buyer',
                    'days' => 10,
                ],
                ['tag' => 'filled_in_by', 'label' => 'Filled in by', 'use' => 'finding'],
            ],
        );
        $forms->out($coordinator, ChangeRequest::query()->where('title', 'Display fades in direct sun')->valueOrFail('number'), $field->id);
    }

    /**
     * @param  list<string>  $reasons
     * @param  list<array<string, mixed>>  $mapping
     */
    private function template(SetTemplate $templates, Person $by, string $name, array $reasons, Draft $draft, array $mapping): FormTemplate
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-form-');
        try {
            $draft->save($path);
            $template = $templates->add($by, $name, $reasons, $path, str_replace(' ', '-', strtolower($name)) . '.docx');
            $templates->set($by, $template->id, $name, $reasons, true, array_map(MappingRow::read(...), $mapping), $template->version);

            return $template;
        } finally {
            unlink($path);
        }
    }

    private static function begun(string $title, string $words): Draft
    {
        $draft = new Draft();
        $draft
            ->heading($title)
            ->words($words)
            ->words('Save the file and send it back to ', $draft->text('handed_by', 'Send back to', locked: true));

        return $draft
            ->heading('What it is about', 2)
            ->table(
                [2600, 7200],
                [
                    [
                        Draft::cell('Request', true),
                        $draft->text('number', 'Request', locked: true) .
                        Draft::cell('  raised by ') .
                        $draft->text('raised_by', 'Raised by', locked: true),
                    ],
                    [Draft::cell('Title', true), $draft->text('title', 'Title')],
                    [Draft::cell('What is asked', true), $draft->lines('description', 'What is asked')],
                    [Draft::cell('Items', true), $draft->lines('items', 'Items')],
                ],
            );
    }

    private static function fieldCheck(): Draft
    {
        $draft = self::begun('Field check', 'Please look at the unit, tick and write what you know, and leave the rest empty.');

        return $draft
            ->heading('What you found', 2)
            ->table(
                [2600, 7200],
                [
                    [Draft::cell('Seen on the unit', true), $draft->text('seen', 'Seen on the unit', 'Write what you see')],
                    [
                        Draft::cell('Looked at on', true),
                        $draft->day('seen_on', 'Looked at on') .
                        Draft::cell('   hours of use ') .
                        $draft->text('hours', 'Hours of use', 'number'),
                    ],
                    [Draft::cell('The water', true), $draft->check('silt', 'The water carries silt') . Draft::cell(' carries silt')],
                    [Draft::cell('How urgent', true), $draft->choice('priority', 'Priority', [])],
                    [Draft::cell('Photo', true), $draft->picture('photo', 'Photo')],
                ],
            )
            ->heading('What you need from us', 2)
            ->table(
                [2600, 7200],
                [
                    [
                        Draft::cell('Spares', true),
                        $draft->check('stock', 'Spares on the shelf') .
                        Draft::cell(' I have spares on the shelf of ') .
                        $draft->choice('item', 'Which item', []) .
                        Draft::cell(', this many: ') .
                        $draft->text('stock_text', 'How many spares', 'number') .
                        Draft::cell('; answer by ') .
                        $draft->day('stock_by', 'Answer wanted by'),
                    ],
                    [
                        Draft::cell('Visit', true),
                        $draft->check('visit', 'A visit is wanted') . Draft::cell(' Somebody should look at the unit'),
                    ],
                    [Draft::cell('Your name', true), $draft->text('filled_in_by', 'Filled in by', 'name and company')],
                ],
            )
            ->words('Form ', $draft->text(FormFile::CODE_TAG, 'Form', 'which form it is', true));
    }

    private static function supplierStatement(): Draft
    {
        $draft = self::begun('Supplier statement', 'Please tell us whether you can deliver what is asked, from when, and at what price.');

        return $draft
            ->heading('Your statement', 2)
            ->table(
                [2600, 7200],
                [
                    [
                        Draft::cell('Delivery', true),
                        $draft->check('can_deliver', 'Can be delivered as asked') .
                        Draft::cell(' can be delivered as asked, from ') .
                        $draft->day('from', 'From'),
                    ],
                    [
                        Draft::cell('Price', true),
                        $draft->check('price', 'The price changes') .
                        Draft::cell(' changes for ') .
                        $draft->choice('item', 'Which item', []) .
                        Draft::cell(' to ') .
                        $draft->text('price_text', 'Price', 'price and unit'),
                    ],
                    [Draft::cell('Tool', true), $draft->check('tool', 'A new tool is needed') . Draft::cell(' a new tool is needed')],
                    [Draft::cell('Remark', true), $draft->text('remark', 'Remark')],
                    [Draft::cell('Your name', true), $draft->text('filled_in_by', 'Filled in by', 'name and company')],
                ],
            )
            ->words('Form ', $draft->text(FormFile::CODE_TAG, 'Form', 'which form it is', true));
    }
}
