<?php

declare(strict_types=1);

namespace App\Forms\Actions;

use App\Files\StoredFile;
use App\Forms\Data\MappingRow;
use App\Forms\Events\TemplateAdded;
use App\Forms\Events\TemplateFileReplaced;
use App\Forms\Events\TemplateSet;
use App\Forms\FormFile;
use App\Forms\Models\FormTemplate;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\ControlKind;
use Orthotaxis\Core\Form\Mapping;
use Orthotaxis\Core\Form\TagUse;
use Orthotaxis\Core\Refusal;

/** Adds templates of forms, replaces their files and sets what their tags mean. */
final readonly class SetTemplate
{
    public function __construct(private Ledger $ledger) {}

    /** @param  list<string>  $reasons */
    public function add(Person $by, string $name, array $reasons, string $path, string $fileName): FormTemplate
    {
        $controls = self::controls($path);

        return $this->ledger->together(function () use ($by, $name, $reasons, $path, $fileName, $controls): FormTemplate {
            self::mustBeFree($name, null);
            $mapping = array_values(
                array_map(
                    static fn(Control $control): array => (array) MappingRow::read([
                        'tag' => $control->tag,
                        'label' => $control->title,
                        'use' => TagUse::Nothing->value,
                    ]),
                    $controls,
                ),
            );
            $template = FormTemplate::query()->create([
                'name' => $name,
                'reasons' => $reasons,
                'mapping' => $mapping,
                ...self::kept($path, $fileName, $controls),
            ]);
            event(new TemplateAdded($by->login, $name, $fileName, $template->sha256));

            return $template->refresh();
        });
    }

    /**
     * @param  list<string>  $reasons
     * @param  list<MappingRow>  $mapping
     */
    public function set(Person $by, int $id, string $name, array $reasons, bool $offered, array $mapping, int $version): FormTemplate
    {
        return $this->change($by, $id, $version, TemplateSet::class, static function (FormTemplate $template) use (
            $name,
            $reasons,
            $offered,
            $mapping,
        ): array {
            self::mustBeFree($name, $template->id);
            Mapping::check(array_map(static fn(MappingRow $row): Mapping => $row->mapping(), $mapping), $template->sheet()->controls());

            return [
                'name' => $name,
                'reasons' => $reasons,
                'offered' => $offered,
                'mapping' => array_map(static fn(MappingRow $row): array => (array) $row, $mapping),
            ];
        });
    }

    /** Forms that are out were made from the file before; they are refused when they come back. */
    public function replace(Person $by, int $id, string $path, string $fileName, int $version): FormTemplate
    {
        $controls = self::controls($path);

        return $this->change($by, $id, $version, TemplateFileReplaced::class, static function (FormTemplate $template) use (
            $controls,
            $path,
            $fileName,
        ): array {
            $now = array_column($template->mapping, null, 'tag');
            $mapping = [];
            foreach ($controls as $tag => $control) {
                $mapping[] =
                    $now[$tag] ?? (array) MappingRow::read(['tag' => $tag, 'label' => $control->title, 'use' => TagUse::Nothing->value]);
            }
            Mapping::check(array_map(static fn(array $row): Mapping => MappingRow::read($row)->mapping(), $mapping), $controls);

            return ['mapping' => $mapping, ...self::kept($path, $fileName, $controls)];
        });
    }

    /**
     * @param  class-string<TemplateSet|TemplateFileReplaced>  $event
     * @param  \Closure(FormTemplate): array<string, mixed>  $change
     */
    private function change(Person $by, int $id, int $version, string $event, \Closure $change): FormTemplate
    {
        return $this->ledger->together(function () use ($by, $id, $version, $event, $change): FormTemplate {
            $template = FormTemplate::query()->lockForUpdate()->findOrFail($id);
            if ($template->version !== $version) {
                throw new Stale("{$template->name} was changed by somebody else since you opened it. Look at it again.");
            }
            $template->update([...$change($template), 'version' => $version + 1]);
            event(new $event($by->login, $template->name, $template->mapping, $template->sha256, $template->offered));

            return $template;
        });
    }

    /**
     * @return array<string, Control> without the one that says which form it is
     *
     * @throws Refusal when it could not be handed out
     */
    private static function controls(string $path): array
    {
        $controls = FormFile::open($path)->sheet->controls();
        if (($controls[FormFile::CODE_TAG]->kind ?? null) !== ControlKind::Text) {
            throw Refusal::at('file', 'The template needs a text control tagged "' . FormFile::CODE_TAG . '": it holds the form number.');
        }
        foreach (array_keys($controls) as $tag) {
            if (preg_match('/^[\p{L}\p{N}_-]{1,60}$/Du', (string) $tag) !== 1) {
                throw Refusal::at('file', "The tag \"{$tag}\" is not made of letters, digits, - and _ alone, 60 at most.");
            }
        }

        unset($controls[FormFile::CODE_TAG]);

        return $controls;
    }

    /**
     * @param  array<string, Control>  $controls
     * @return array<string, mixed>
     */
    private static function kept(string $path, string $fileName, array $controls): array
    {
        return [
            'controls' => array_values(
                array_map(
                    static fn(Control $control): array => [
                        'tag' => $control->tag,
                        'kind' => $control->kind->value,
                        'title' => $control->title,
                    ],
                    $controls,
                ),
            ),
            'file_name' => mb_substr($fileName, 0, 200),
            'file_id' => StoredFile::keep($path),
            'sha256' => (string) hash_file('sha256', $path),
            'file_changed_at' => CarbonImmutable::now(),
        ];
    }

    private static function mustBeFree(string $name, ?int $except): void
    {
        if (
            FormTemplate::query()
                ->where('name', $name)
                ->whereKeyNot($except ?? 0)
                ->exists()
        ) {
            throw Refusal::at('name', "There is a template named {$name} already.");
        }
    }
}
