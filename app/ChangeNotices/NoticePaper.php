<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\ChangeNotices\Models\ChangeNotice;
use App\Documents\Models\ItemFile;
use App\Files\Drawn;
use App\Files\StoredFile;
use App\Http\Slots;
use Dompdf\Dompdf;
use Dompdf\Options;
use Orthotaxis\Core\Refusal;

/** A change notice as a document of its own: HTML with all that it shows in it, and the same as PDF. */
final readonly class NoticePaper
{
    /** Sheets that are pictured; further ones are named only. */
    private const MOST_PICTURES = 40;

    /** Pixels. */
    private const WIDTH = 1400;

    private const AS_THEY_ARE = ['image/png', 'image/jpeg'];

    private const FONT = 'DejaVu Sans';

    private const AT_ONCE = 2;

    public static function html(ChangeNotice $notice): string
    {
        $content = json_decode($notice->content, flags: JSON_THROW_ON_ERROR);

        return view('change-notice', [
            'notice' => $content,
            'sha256' => $notice->sha256,
            'pictures' => self::pictures($notice->content),
        ])->render();
    }

    /** @throws Refusal when others are printing */
    public static function pdf(ChangeNotice $notice): string
    {
        $html = self::html($notice);

        return Slots::in(
            'a change notice is printed',
            self::AT_ONCE,
            60,
            static fn(): string => self::draw($notice->number, $html),
            static fn(): Refusal => Refusal::at('format', 'Others are printing at the moment. Try again in a few seconds.'),
        );
    }

    private static function draw(string $number, string $html): string
    {
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setDefaultFont(self::FONT);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml($html);
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $font = (string) $pdf->getFontMetrics()->getFont(self::FONT);
        $canvas->page_text(40, 815, $number, $font, 7);
        $canvas->page_text(490, 815, 'Page {PAGE_NUM} of {PAGE_COUNT}', $font, 7);

        return (string) $pdf->output();
    }

    /** @return array<string, string> data addresses of pictures of the sheets, by their file; none of what cannot be drawn */
    private static function pictures(string $content): array
    {
        $named = data_get(json_decode($content, true, flags: JSON_THROW_ON_ERROR), 'sheets.*.file');
        $files = ItemFile::query()
            ->whereIn('id', array_filter((array) $named, is_string(...)))
            ->orderBy('id')
            ->limit(self::MOST_PICTURES)
            ->get();

        return array_filter($files->mapWithKeys(static fn(ItemFile $file): array => [$file->id => self::picture($file)])->all());
    }

    private static function picture(ItemFile $file): ?string
    {
        return StoredFile::with($file->file_id, static function (string $path) use ($file): ?string {
            $drawn = in_array($file->media_type, self::AS_THEY_ARE, true)
                ? [$file->media_type, (string) file_get_contents($path)]
                : ['image/png', Drawn::png($path, $file->media_type, self::WIDTH)];

            return $drawn[1] === null ? null : "data:{$drawn[0]};base64," . base64_encode($drawn[1]);
        });
    }
}
