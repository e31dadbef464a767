<?php

declare(strict_types=1);

namespace App\Forms;

use App\Days\Today;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use App\Vocabulary\Priority;
use Orthotaxis\Core\Form\Filling;
use Orthotaxis\Core\Form\RecordField;

/** What a request says in a form. */
final readonly class RecordValues
{
    /** @return array<string, Filling> by RecordField */
    public static function of(ChangeRequest $request, Person $by): array
    {
        $values = [];
        $offered = self::offered($request);
        foreach (self::plain($request) as $field => $value) {
            $options = $offered[$field] ?? [];
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

    /** @return array<string, array<string, string>> what a field takes, by what it is called; other fields take anything */
    public static function offered(ChangeRequest $request): array
    {
        $priorities = array_column(Priority::cases(), 'value');

        return [
            'priority' => array_combine($priorities, array_map(ucfirst(...), $priorities)),
            'reason' => ChoiceList::Reason->offered($request->reason),
            'source' => ChoiceList::Source->offered($request->source),
            'site' => ChoiceList::Site->offered($request->site),
        ];
    }
}
