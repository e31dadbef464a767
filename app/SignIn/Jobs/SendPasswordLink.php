<?php

declare(strict_types=1);

namespace App\SignIn\Jobs;

use App\People\Models\Person;
use App\SignIn\Mail\PasswordMail;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/**
 * Mails somebody an address at which they set their password. It is a job also so that whoever asks for a name learns nothing from how
 * long the answer takes.
 */
final class SendPasswordLink implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 6;

    /** @var list<int> seconds before each try: the mail server may be away */
    public array $backoff = [10, 60, 300, 900, 3600];

    /** @param  bool  $isNew  whether somebody who manages people sends it, and they have none yet */
    public function __construct(public readonly string $login, public readonly bool $isNew = false)
    {
        $this->onQueue('long');
        $this->afterCommit();
    }

    public function handle(): void
    {
        Password::broker('people')->sendResetLink(
            ['login' => $this->login],
            fn(Person $person, string $token) => Mail::to($person->email)->send(new PasswordMail($person, $token, $this->isNew)),
        );
    }
}
