<?php

declare(strict_types=1);

namespace App\Attachments\Actions;

use App\Attachments\Attachable;
use App\Attachments\AttachmentRole;
use App\Attachments\Events\FileAttached;
use App\Attachments\Events\FileTakenAway;
use App\Attachments\Models\ChangeFile;
use App\Files\FileContent;
use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;

/** Brings a file to a report or a request, and takes it away again as long as that is open. */
final readonly class BringFile
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when the content cannot be shown, or is there already */
    public function bring(Person $by, Attachable $subject, AttachmentRole $role, string $path, string $name): ChangeFile
    {
        return $this->keep($by, $subject, $role, $path, $name, FileContent::of($path)->mediaType);
    }

    /** The same for a file whose content was looked at already. */
    public function keep(Person $by, Attachable $subject, AttachmentRole $role, string $path, string $name, string $mediaType): ChangeFile
    {
        return $this->ledger->together(function () use ($by, $subject, $role, $path, $name, $mediaType): ChangeFile {
            $held = $subject::hold($subject->number());
            $belongs = [$held->fileKey() => $held->id()];
            $hash = (string) hash_file('sha256', $path);
            if (ChangeFile::query()->where($belongs)->where('sha256', $hash)->exists()) {
                throw Refusal::at('file', 'The same file is attached already.');
            }
            $file = ChangeFile::query()->create([
                ...$belongs,
                'id' => (string) Str::uuid7(),
                'role' => $role,
                'name' => mb_substr($name, 0, 200),
                'media_type' => $mediaType,
                'bytes' => (int) filesize($path),
                'sha256' => $hash,
                'file_id' => StoredFile::keep($path),
                'person_id' => $by->id,
                'brought_at' => CarbonImmutable::now(),
            ]);
            event(new FileAttached($by->login, $held->number(), $role->value, $file->name, $hash));

            return $file;
        });
    }

    /** Not when it is somebody else's, or what it belongs to is settled. */
    public function takeAway(Person $by, string $id, Attachable $subject): void
    {
        $this->ledger->together(function () use ($by, $id, $subject): void {
            $subject = $subject::hold($subject->number());
            $file = ChangeFile::query()->where($subject->fileKey(), $subject->id())->findOrFail($id);
            if ($file->person_id !== $by->id) {
                throw Refusal::at('file', 'Only who uploaded a file can remove it.');
            }
            if ($file->role === AttachmentRole::Form || !$subject->isOpen()) {
                throw Refusal::at('file', "{$file->name} stays with {$subject->number()}.");
            }
            $file->delete();
            event(new FileTakenAway($by->login, $subject->number(), $file->name, $file->sha256));
        });
    }
}
