<?php

declare(strict_types=1);

namespace App\Notices;

use App\Discussion\Subjects;
use App\Outgoing\NotDelivered;
use App\People\Ability;
use App\People\Models\Person;
use Orthotaxis\Core\Notice\Cause;

/** Tells those who set up connections to other systems that one of them does not get what it is told. */
final readonly class TellUndelivered
{
    public function handle(NotDelivered $event): void
    {
        $delivery = $event->delivery;
        $people = config()->boolean('notices.tell')
            ? Person::query()->where('active', true)->get()->filter(static fn(Person $one): bool => $one->mayDo(Ability::ConnectSystems))
            : collect();
        if ($people->isEmpty()) {
            return;
        }
        WriteNotice::write(
            ToldAct::NotDelivered,
            Subjects::find($delivery->subject) === null ? '' : $delivery->subject,
            path: "/set-up/channels/{$delivery->channel->code}",
            title: $delivery->channel->name,
            about: "{$delivery->what}, {$delivery->said}",
            actor: WriteNotice::BY_ITSELF,
            people: array_fill_keys(array_map(static fn(Person $one): int => $one->id, $people->all()), Cause::ToDo),
        );
    }
}
