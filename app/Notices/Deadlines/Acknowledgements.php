<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\ChangeNotices\Models\NoticeCopy;
use Orthotaxis\Core\Calendar\Day;

/** Change notices that somebody has to acknowledge and has not. */
final readonly class Acknowledgements implements Matters
{
    public function waiting(): iterable
    {
        foreach (
            NoticeCopy::waiting()
                ->whereNotNull('due_on')
                ->with(['notice.order', 'person'])
                ->orderBy('notice_id')
                ->orderBy('person_id')
                ->get()
            as $copy
        ) {
            if ($copy->due_on === null) {
                continue;
            }
            yield new Matter(
                key: "notice {$copy->notice->number} {$copy->person_id}",
                change: $copy->notice->order->number,
                title: $copy->notice->order->title,
                path: "/change-notices/{$copy->notice->number}",
                called: "Acknowledge {$copy->notice->number} ({$copy->person->name})",
                due: Day::parse($copy->due_on),
                people: [$copy->person_id],
                escalateTo: [$copy->notice->issued_by],
                remind: config()->integer('notices.remind_days'),
                escalate: config()->integer('notices.escalate_days'),
            );
        }
    }
}
