<?php

declare(strict_types=1);

namespace App\Notices\Jobs;

use App\Notices\SendMails;
use App\People\Models\Person;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Log;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/** Sends somebody what is due at once. Where the mail server is away, the scheduler goes on trying. */
final class MailNotices implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    public function __construct(public readonly int $person)
    {
        // A slow mail server holds up no hand-over.
        $this->onQueue('long');
        $this->afterCommit();
    }

    public function handle(SendMails $mails): void
    {
        $person = Person::query()->where('active', true)->find($this->person);
        if ($person === null) {
            return;
        }
        try {
            $mails->to($person);
        } catch (TransportExceptionInterface $fault) {
            Log::warning('A mail was not taken; it is tried again every minute.', ['fault' => $fault->getMessage()]);
        }
    }
}
