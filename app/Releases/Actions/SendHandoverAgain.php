<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Releases\Events\HandOverSentAgain;
use App\Releases\Models\Handover;

/** Sends the same files under the same name. Planning does nothing twice; what it refused it looks at again. */
final readonly class SendHandoverAgain
{
    public function __construct(private PostHandover $post, private Ledger $ledger) {}

    /** @return ?string the number of its order; null: it is a correction */
    public function send(Person $by, string $name): ?string
    {
        return $this->ledger->together(function () use ($by, $name): ?string {
            $handover = Handover::query()->with('order')->where('name', $name)->lockForUpdate()->firstOrFail();
            $this->post->post($handover);
            event(new HandOverSentAgain($by->login, $handover->subject(), $name));

            return $handover->order?->number;
        });
    }
}
