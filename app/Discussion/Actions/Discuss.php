<?php

declare(strict_types=1);

namespace App\Discussion\Actions;

use App\Attachments\Said\SaidFile;
use App\Discussion\Events\CommentAdded;
use App\Discussion\Events\CommentPinned;
use App\Discussion\Models\Comment;
use App\Discussion\SaidOfLine;
use App\Discussion\Subjects;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;

/** Says something on a report, request, order or item, and pins what is decided. */
final readonly class Discuss
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<UploadedFile>  $files
     * @param  ?SaidOfLine  $of  null: of the whole
     *
     * @throws Refusal at a file that cannot be shown, or when there is no such line
     */
    public function say(Person $by, string $subject, string $text, array $files = [], ?SaidOfLine $of = null): Comment
    {
        return $this->ledger->together(static function () use ($by, $subject, $text, $files, $of): Comment {
            Subjects::get($subject);
            $called = $of?->called($subject) ?? '';
            $comment = Comment::query()->create([
                'subject' => $subject,
                'person_id' => $by->id,
                'text' => $text,
                'made_at' => CarbonImmutable::now(),
                'item' => $of->item ?? '',
                'work' => $of->work ?? '',
                'part' => $of->line ?? '',
                'called' => $called,
            ]);
            $kept = SaidFile::keep('comment_id', $comment->id, $files);
            event(new CommentAdded($by->login, $subject, text: $text, files: $kept, line: $of === null ? '' : "{$of->item} {$called}"));

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
