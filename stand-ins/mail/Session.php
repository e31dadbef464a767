<?php

declare(strict_types=1);

namespace StandIns\Mail;

/** What one client says to the simulated mail server (RFC 5321, as much of it as takes a mail in), and what is answered. */
final class Session
{
    private string $unread = '';

    /** @var list<string> */
    private array $to = [];

    /** What has come of a mail so far; null: none is being told. */
    private ?string $mail = null;

    public bool $isOver = false;

    /** @param  \Closure(string, list<string>): void  $keep  what becomes of a mail and those it is for */
    public function __construct(private readonly \Closure $keep) {}

    /** @return string what to answer to what has come, line by line; empty: nothing yet */
    public function hear(string $said): string
    {
        $this->unread .= $said;
        $answers = '';
        while (($end = strpos($this->unread, "\r\n")) !== false) {
            $line = substr($this->unread, 0, $end);
            $this->unread = substr($this->unread, $end + 2);
            $answers .= $this->mail === null ? $this->command($line) : $this->line($line);
        }

        return $answers;
    }

    private function command(string $line): string
    {
        $verb = strtoupper(strtok($line, ' ') ?: '');
        switch ($verb) {
            case 'EHLO':
            case 'HELO':
                return "250 stand-in\r\n";
            case 'MAIL':
            case 'RSET':
                $this->to = [];

                return "250 OK\r\n";
            case 'RCPT':
                $this->to[] = preg_match('/<([^>]*)>/', $line, $of) === 1 ? $of[1] : '';

                return "250 OK\r\n";
            case 'DATA':
                if ($this->to === []) {
                    return "503 For whom?\r\n";
                }
                $this->mail = '';

                return "354 End with a full stop on a line of its own\r\n";
            case 'NOOP':
                return "250 OK\r\n";
            case 'QUIT':
                $this->isOver = true;

                return "221 Goodbye\r\n";
            default:
                return "502 Not known here\r\n";
        }
    }

    private function line(string $line): string
    {
        if ($line !== '.') {
            // A line that begins with a full stop comes with one more.
            $this->mail .= (str_starts_with($line, '.') ? substr($line, 1) : $line) . "\r\n";

            return '';
        }
        ($this->keep)((string) $this->mail, $this->to);
        $this->mail = null;
        $this->to = [];

        return "250 Kept\r\n";
    }
}
