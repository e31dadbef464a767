<?php

declare(strict_types=1);

namespace App\Forms;

use App\Days\Today;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Vocabulary\Priority;
use App\Vocabulary\Reason;
use App\Vocabulary\Site;
use App\Vocabulary\Source;
use Orthotaxis\Core\Form\Filling;
use Orthotaxis\Core\Form\RecordField;

/** What a request says in a form. */
final readonly class RecordValues
{
    /** @return array<string, Filling> by RecordField */
    public static function of(ChangeRequest $request, Person $by): array
    {
        $values = [];
        foreach (self::plain($request) as $field => $value) {
            $options = array_combine(self::allowed()[$field] ?? [], array_map(self::label(...), self::allowed()[$field] ?? []));
            $values[$field] = new Filling($value, $options, $options[$value] ?? null);
        }
        $items = $request->items->mapWithKeys(static fn(Item $item): array => [$item->number => "{$item->number} {$item->title}"])->all();

        return $values + [
            RecordField::Number->value => new Filling($request->number),
            RecordField::RaisedBy->value => new Filling($request->raisedBy->name),
            RecordField::RaisedOn->value => new Filling($request->raised_at->format('Y-m-d')),
            RecordField::Items->value => new Filling('', $items, implode("\n", $items)),
            RecordField::Reports->value => new Filling($request->reports->implode('number', ', ')),
            RecordField::Finding->value => new Filling($request->finding),
            RecordField::HandedBy->value => new Filling($by->name),
            RecordField::Today->value => new Filling((string) Today::day()),
        ];
    }

    /** @return array<string, string> what a form may correct, by RecordField */
    public static function plain(ChangeRequest $request): array
    {
        return [
            'title' => $request->title,
            'description' => $request->description,
            'priority' => $request->priority,
            'reason' => $request->reason,
            'source' => $request->source,
            'site' => $request->site,
        ];
    }

    /** @return array<string, list<string>> the values that a field takes; of others anything */
    public static function allowed(): array
    {
        return [
            'priority' => array_column(Priority::cases(), 'value'),
            'reason' => array_column(Reason::cases(), 'value'),
            'source' => array_column(Source::cases(), 'value'),
            'site' => array_column(Site::cases(), 'value'),
        ];
    }

    private static function label(string $value): string
    {
        return ucfirst(str_replace('_', ' ', $value));
    }
}
