<?php

declare(strict_types=1);

namespace App\Sheets\Http;

use App\Sheets\Models\SheetAddress;
use App\Sheets\SheetFacts;
use App\Sheets\SheetFactsReader;
use App\Sheets\SheetPrint;
use App\Sheets\SheetWords;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Orthotaxis\Core\Revision\Phase;

/** What somebody is told who scans the code on a print, without an account: what the sheet is worth today, and nothing else. */
final readonly class ScannedSheetController
{
    public function __construct(private SheetFactsReader $facts, private SheetPrint $print) {}

    public function show(string $key, Request $request): Response
    {
        $address = SheetAddress::ofKey($key);
        $words = new SheetWords(self::language($request));
        if ($address === null || $address->withdrawn_at !== null) {
            return self::page('sheet-unknown', ['words' => $words, 'withdrawn' => $address !== null], 404);
        }
        $facts = $this->of($address);

        return self::page(
            'sheet-status',
            ['facts' => $facts, 'words' => $words, 'sheet' => self::isHad($facts) ? "/s/{$key}.pdf" : null],
            200,
        );
    }

    /** The sheet itself, as long as somebody may go by it. */
    public function sheet(string $key, Request $request): Response
    {
        $address = SheetAddress::ofKey($key);
        if ($address === null || $address->withdrawn_at !== null || !self::isHad($this->of($address))) {
            return $this->show($key, $request);
        }

        return $this->print->answer($address->file, $address->url(), self::language($request));
    }

    private function of(SheetAddress $address): SheetFacts
    {
        return $this->facts->of($address->file->newCollection([$address->file]))[$address->file_id];
    }

    private static function isHad(SheetFacts $facts): bool
    {
        return $facts->phase === Phase::InForce || $facts->phase === Phase::Coming;
    }

    private static function language(Request $request): string
    {
        $languages = SheetWords::languages();

        return $request->getPreferredLanguage($languages) ?? ($languages[0] ?? 'en');
    }

    /** @param  array<string, mixed>  $with */
    private static function page(string $view, array $with, int $status): Response
    {
        return new Response(view($view, $with)->render(), $status, [
            'Content-Type' => 'text/html; charset=utf-8',
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; base-uri 'none'; form-action 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'X-Robots-Tag' => 'noindex',
            'Referrer-Policy' => 'no-referrer',
            'Cache-Control' => 'no-store',
        ]);
    }
}
