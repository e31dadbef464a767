<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Releases\Models\Handover;

/** Sends the same files under the same name. Planning does nothing twice; what it refused it looks at again. */
final readonly class SendHandoverAgain
{
    public function __construct(private PostHandover $post, private Ledger $ledger) {}

    public function send(Person $by, string $name): void
    {
        $this->ledger->together(function () use ($by, $name): void {
            $handover = Handover::query()->with('order')->where('name', $name)->lockForUpdate()->firstOrFail();
            $this->post->post($handover);
            $this->ledger->record($by->login, 'hand_over.sent_again', $handover->order->number, ['hand_over' => $name]);
        });
    }
}
