<?php

declare(strict_types=1);

namespace App\Attachments\Said;

use App\Files\FileContent;
use App\Files\StoredFile;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;

/**
 * A file that came with what somebody said. It stays, as that does.
 *
 * @property string $id
 * @property string $name
 * @property string $media_type
 * @property int $bytes
 * @property string $sha256
 * @property string $file_id its content
 */
final class SaidFile extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /**
     * All of them or none.
     *
     * @param  'comment_id'|'task_comment_id'  $key
     * @param  list<UploadedFile>  $files
     * @return list<array{name: string, sha256: string}> as the ledger keeps them
     *
     * @throws Refusal at each, by its place in the list, that cannot be shown
     */
    public static function keep(string $key, int $id, array $files): array
    {
        $refused = $types = $kept = [];
        foreach ($files as $at => $file) {
            try {
                $types[$at] = FileContent::of($file->getRealPath())->mediaType;
            } catch (Refusal $refusal) {
                $refused["files.{$at}"] = "{$file->getClientOriginalName()}: {$refusal->getMessage()}";
            }
        }
        if ($refused !== []) {
            throw Refusal::because($refused);
        }
        foreach ($files as $at => $file) {
            $one = self::query()->create([
                $key => $id,
                'id' => (string) Str::uuid7(),
                'name' => mb_substr($file->getClientOriginalName(), 0, 200),
                'media_type' => $types[$at],
                'bytes' => (int) $file->getSize(),
                'sha256' => (string) hash_file('sha256', $file->getRealPath()),
                'file_id' => StoredFile::keep($file->getRealPath()),
            ]);
            $kept[] = ['name' => $one->name, 'sha256' => $one->sha256];
        }

        return $kept;
    }
}
