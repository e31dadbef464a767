<?php

declare(strict_types=1);

namespace App\ChangeNotices\Jobs;

use App\ChangeNotices\Actions\IssueNotice;
use App\People\Models\Person;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Issues the notice of an order that was released. Run twice it issues one. */
final class IssueAtRelease implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [5, 30, 120, 600];

    public function __construct(public readonly string $order, public readonly string $by)
    {
        $this->afterCommit();
    }

    public function handle(IssueNotice $issue): void
    {
        $issue->issue(Person::query()->where('login', $this->by)->firstOrFail(), $this->order);
    }
}
