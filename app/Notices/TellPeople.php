<?php

declare(strict_types=1);

namespace App\Notices;

use App\Discussion\Subjects;
use App\Ledger\Act;

/** Writes down, with the act itself, who is told of it: whatever becomes of mails, nothing of it is lost. */
final readonly class TellPeople
{
    public function __construct(private WhoIsTold $who) {}

    public function handle(Act $act): void
    {
        $told = ToldAct::tryFrom($act->name());
        $change = $told === null || !config()->boolean('notices.tell') ? null : Subjects::find($act->of());
        if ($told === null || $change === null) {
            return;
        }
        $people = $this->who->of($told, $act, $change);
        if ($people === []) {
            return;
        }
        WriteNotice::write(
            $told,
            $change->number,
            path: match (true) {
                $told->isOfTask() => '/tasks/' . self::text($act->details(), 'task'),
                $told->isAddressed() => '/change-notices/' . self::text($act->details(), 'notice'),
                default => Subjects::path($change),
            },
            title: $change->title,
            about: self::about($told, $act->details()),
            actor: $act->by(),
            people: $people,
        );
    }

    /** @param  array<string, mixed>  $details */
    private static function about(ToldAct $told, array $details): string
    {
        if ($told->isAddressed()) {
            return self::text($details, 'notice');
        }
        $said = self::text($details, 'text') ?: (self::text($details, 'reason') ?: self::text($details, 'answer'));
        if (!$told->isOfTask()) {
            return $said;
        }
        $task = trim(self::text($details, 'task') . ' ' . self::text($details, 'title'));

        return $said === '' ? $task : "{$task}: {$said}";
    }

    /** @param  array<string, mixed>  $details */
    private static function text(array $details, string $name): string
    {
        $text = $details[$name] ?? '';

        return is_string($text) ? $text : '';
    }
}
