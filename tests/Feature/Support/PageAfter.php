<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

/** The page on which somebody sees what an act has done: an act itself answers only what it was done to. */
final readonly class PageAfter
{
    /** @param  array<string, mixed>  $done  the answer: number and version; nothing where there is none */
    public static function of(string $path, array $done): ?string
    {
        $number = $done['number'] ?? '';

        return match (true) {
            is_string($number) && $number !== '' => self::ofNumber($path, $number),
            preg_match('#^(/items/[^/]+)/(documents|files)\b#', $path, $found) === 1 => "{$found[1]}/documents",
            $path === '/meeting' => $path,
            preg_match('#^/(favourites|kinds)\b#', $path, $found) === 1 => "/{$found[1]}",
            str_starts_with($path, '/imports/') => $path,
            str_starts_with($path, '/table-layouts/') => '/session',
            default => null,
        };
    }

    private static function ofNumber(string $path, string $number): string
    {
        return match (true) {
            preg_match('#^(/orders/[^/]+/items/[^/]+)/(edits|edits-together|sheet|works/engineering)\b#', $path, $found) === 1
                => "{$found[1]}/redline",
            preg_match('#^/(categories|choices|form-templates|plants)\b#', $path, $found) === 1 => "/{$found[1]}",
            $path === '/imports' => "/imports/{$number}",
            $path === '/items' => "/items/{$number}",
            str_starts_with($path, '/reports') => "/reports/{$number}",
            str_starts_with($path, '/questions'), str_ends_with($path, '/questions') => "/requests/{$number}/questions",
            str_contains($path, '/figures') => "/requests/{$number}/money",
            str_starts_with($path, '/forms'),
            str_ends_with($path, '/forms'),
            str_contains($path, 'returned-form')
                => "/requests/{$number}/forms",
            str_ends_with($path, '/reach') => "/requests/{$number}/reach",
            str_ends_with($path, '/cut-ins') => "/requests/{$number}/cut-ins",
            default => "/dossiers/{$number}",
        };
    }
}
