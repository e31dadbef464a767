<?php

declare(strict_types=1);

namespace App\Discussion\Actions;

use App\Discussion\Events\CommentAdded;
use App\Discussion\Events\CommentPinned;
use App\Discussion\Models\Comment;
use App\Discussion\Subjects;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;

/** Says something on a report, request, order or item, and pins what is decided. */
final readonly class Discuss
{
    public function __construct(private Ledger $ledger) {}

    public function say(Person $by, string $subject, string $text): Comment
    {
        return $this->ledger->together(static function () use ($by, $subject, $text): Comment {
            Subjects::get($subject);
            $comment = Comment::query()->create([
                'subject' => $subject,
                'person_id' => $by->id,
                'text' => $text,
                'made_at' => CarbonImmutable::now(),
            ]);
            event(new CommentAdded($by->login, $subject, $text));

            return $comment;
        });
    }

    /** Pinned twice it is pinned once. */
    public function pin(Person $by, int $id, bool $pinned): Comment
    {
        return $this->ledger->together(static function () use ($by, $id, $pinned): Comment {
            $comment = Comment::query()->lockForUpdate()->findOrFail($id);
            if (($comment->pinned_at !== null) !== $pinned) {
                $comment->update(['pinned_by' => $pinned ? $by->id : null, 'pinned_at' => $pinned ? CarbonImmutable::now() : null]);
                event(new CommentPinned($by->login, $comment->subject, $comment->text, $pinned));
            }

            return $comment;
        });
    }
}
