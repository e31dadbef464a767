<?php

declare(strict_types=1);

namespace App\Notices\Mail;

use App\Notices\Models\NoticeReader;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Orthotaxis\Core\Notice\Cause;

/** What one person is told of, in one mail: what they have to act on first. */
final class NoticesMail extends Mailable
{
    /** Characters of a subject. */
    private const LONGEST = 120;

    /** @var array<string, string> */
    private const HEADS = [
        'to_do' => 'Needs you',
        'mentioned' => 'You are mentioned',
        'informed' => 'For your information',
        'takes_part' => 'You take part in',
        'watches' => 'You watch',
    ];

    /**
     * @param  string  $greeted  name of the person
     * @param  Collection<int, NoticeReader>  $told  one at least
     * @param  array<string, string>  $names  by sign-in name
     */
    public function __construct(private readonly string $greeted, private readonly Collection $told, private readonly array $names) {}

    public function envelope(): Envelope
    {
        $first = $this->told->firstOrFail()->notice;
        $changes = $this->told->map(static fn(NoticeReader $one): string => $one->notice->called())->unique();

        return new Envelope(
            subject: Str::limit(
                $this->told->count() === 1
                    ? ltrim("{$first->change} {$first->act->label()}: {$first->title}")
                    : "{$this->told->count()} notices: {$changes->implode(', ')}",
                self::LONGEST,
            ),
        );
    }

    public function headers(): Headers
    {
        // The same for the same notices: a mail that went out twice, because nobody knew that it had, is known as one.
        $ids = $this->told->map(static fn(NoticeReader $one): string => "{$one->person_id}-{$one->notice_id}")->implode(' ');
        $host = (string) parse_url(config()->string('app.url'), PHP_URL_HOST);

        return new Headers(messageId: substr(hash('sha256', $ids), 0, 32) . '@' . ($host === '' ? 'orthotaxis.invalid' : $host));
    }

    public function content(): Content
    {
        $sections = [];
        foreach (Cause::cases() as $cause) {
            $some = $this->told->where('cause', $cause)->values();
            if ($some->isNotEmpty()) {
                $sections[self::HEADS[$cause->value]] = $some;
            }
        }

        return new Content(
            view: 'mail.notices',
            text: 'mail.notices-text',
            with: ['greeted' => $this->greeted, 'sections' => $sections, 'names' => $this->names],
        );
    }
}
