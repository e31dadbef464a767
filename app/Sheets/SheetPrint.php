<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Documents\Models\ItemFile;
use App\Http\Slots;
use Illuminate\Http\Response;
use Orthotaxis\Core\Refusal;

/** A stamped sheet as an answer. */
final readonly class SheetPrint
{
    private const AT_ONCE = 2;

    public function __construct(private SheetFactsReader $facts) {}

    /** @throws Refusal when it cannot be drawn, or others are printing */
    public function answer(ItemFile $file, string $address, string $language): Response
    {
        $facts = $this->facts->of($file->newCollection([$file]))[$file->id];
        $pdf = Slots::in(
            'a sheet is stamped',
            self::AT_ONCE,
            60,
            static fn(): string => StampedSheet::pdf($file, $facts, $address, $language),
            static fn(): Refusal => Refusal::at('file', 'Others are printing at the moment. Try again in a few seconds.'),
        );

        return new Response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="' . self::name($facts) . '"',
            'X-Content-Type-Options' => 'nosniff',
            // Tomorrow it may say something else.
            'Cache-Control' => 'private, no-store',
        ]);
    }

    /** "800-0010_B_2026-11-29.pdf": what it is, and of which day its stamp is. */
    public static function name(SheetFacts $facts): string
    {
        $revision = $facts->revision === '' ? 'draft' : $facts->revision;

        return (preg_replace('/[^A-Za-z0-9._-]+/', '-', "{$facts->number}_{$revision}_{$facts->day}") ?? 'sheet') . '.pdf';
    }
}
