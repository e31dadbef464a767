<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** A stored file as an answer. Whatever it carries, it runs nothing and fetches nothing, also when somebody opens it by its address. */
final readonly class ShownFile
{
    public static function of(string $fileId, string $mediaType, string $name, string $sha256): Response
    {
        return new Response((string) stream_get_contents(DB::table('stored_files')->where('id', $fileId)->value('content')), 200, [
            'Content-Type' => $mediaType,
            'X-Content-Type-Options' => 'nosniff',
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; sandbox",
            'Content-Disposition' => HeaderUtils::makeDisposition(
                'inline',
                str_replace(['/', '\\', '%'], '-', $name),
                preg_replace('/[^A-Za-z0-9._ -]/', '-', $name) ?? 'file',
            ),
            'Cache-Control' => 'private, max-age=86400, immutable',
            'ETag' => "\"{$sha256}\"",
        ]);
    }
}
