<?php

declare(strict_types=1);

namespace App\SignIn\Mail;

use App\People\Models\Person;
use App\SignIn\PasswordAddress;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The address at which a person sets their password. */
final class PasswordMail extends Mailable
{
    public function __construct(
        private readonly Person $person,
        #[\SensitiveParameter] private readonly string $token,
        private readonly bool $isNew,
    ) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->isNew ? 'Your account at Orthotaxis' : 'Set a new password for Orthotaxis');
    }

    public function content(): Content
    {
        return new Content(
            text: 'mail.password-text',
            with: [
                'name' => $this->person->name,
                'login' => $this->person->login,
                'isNew' => $this->isNew,
                'address' => PasswordAddress::of($this->person, $this->token),
                'hours' => intdiv(config()->integer('auth.passwords.people.expire'), 60),
            ],
        );
    }
}
