<?php

declare(strict_types=1);

namespace App\Attachments\Said;

use Illuminate\Http\UploadedFile;

/** For requests in which somebody says something, with files in the field named files. */
trait SaysWithFiles
{
    /** @return array<string, string> */
    private static function ofFiles(): array
    {
        return ['files' => 'array|max:10', 'files.*' => 'file|max:32768'];
    }

    /** @return array<string, string> */
    private static function aboutFiles(): array
    {
        return [
            'files.max' => 'At most 10 files at once.',
            'files.*.max' => 'A file has at most 32 megabytes.',
            'files.*.*' => 'Choose a file.',
        ];
    }

    /** @return list<UploadedFile> */
    public function broughtFiles(): array
    {
        return array_values(array_filter((array) $this->file('files'), static fn(mixed $one): bool => $one instanceof UploadedFile));
    }
}
