<?php

declare(strict_types=1);

namespace App\Notices\Commands;

use App\Notices\SendMails;
use App\People\Models\Person;
use Illuminate\Console\Command;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\Exception\UnexpectedResponseException;

/** Mails of the hour and of the day, and those that a server did not take. */
final class SendDueMails extends Command
{
    protected $signature = 'notices:mail';

    protected $description = 'Send the notices whose mail is due.';

    public function handle(SendMails $mails): int
    {
        $sent = 0;
        $people = Person::query()
            ->where('active', true)
            ->whereIn('id', SendMails::due()->select('person_id')->distinct())
            ->orderBy('id')
            ->get();
        foreach ($people as $person) {
            try {
                $sent += $mails->to($person);
            } catch (UnexpectedResponseException $fault) {
                // The server is there and does not take this one: nobody else waits for that.
                $this->warn("{$person->login}: {$fault->getMessage()}");
            } catch (TransportExceptionInterface $fault) {
                // Whoever comes after them would wait for the same server.
                $this->warn($fault->getMessage());

                break;
            }
        }
        $this->info("{$sent} sent.");

        return self::SUCCESS;
    }
}
