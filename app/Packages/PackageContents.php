<?php

declare(strict_types=1);

namespace App\Packages;

use App\Attachments\AttachmentRole;
use App\Attachments\Models\ChangeFile;
use App\ChangeNotices\Data\NoticeSignature;
use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\NoticePaper;
use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Files\StoredFile;
use App\Orders\Models\ChangeOrder;
use App\Packages\Models\ReleasePackage;
use App\Paths\Models\Signature;
use App\Releases\Models\Handover;
use App\Sheets\Actions\SheetAddresses;
use App\Sheets\SheetFactsReader;
use App\Sheets\SheetPrint;
use App\Sheets\SheetWords;
use App\Sheets\StampedSheet;

/** What is in the package of an order. Each part is made when it comes to it. */
final readonly class PackageContents
{
    public function __construct(private ChangeLists $lists, private SheetFactsReader $facts, private SheetAddresses $addresses) {}

    /** @return list<\Closure(): iterable<string, string>> contents by the name of their file */
    public function of(ReleasePackage $package): array
    {
        $order = $package->order;
        $sheets = ItemFile::query()
            ->with(['item', 'revision'])
            ->where('role', FileRole::Sheet)
            ->whereHas('revision', static fn($revision) => $revision->where('order_id', $order->id))
            ->orderBy('item_id')
            ->orderBy('id')
            ->get();
        $facts = $this->facts->of($sheets);
        $parts = [
            fn(): iterable => $this->notice($order),
            fn(): iterable => $this->lists->files($order, new SheetWords($package->language)),
            fn(): iterable => $this->signatures($order),
            fn(): iterable => $this->handovers($order),
            fn(): iterable => $this->markUps($order),
        ];
        foreach ($sheets as $file) {
            $parts[] = function () use ($file, $facts, $package): iterable {
                $address = $this->addresses->of($file, $package->asker)->url();
                yield 'sheets/' . SheetPrint::name($facts[$file->id]) => StampedSheet::pdf(
                    $file,
                    $facts[$file->id],
                    $address,
                    $package->language,
                );
                yield 'originals/' . self::named("{$file->item->number}_{$facts[$file->id]->revision}_{$file->name}") => self::stored(
                    $file->file_id,
                );
            };
        }

        return $parts;
    }

    /** @return iterable<string, string> */
    private function notice(ChangeOrder $order): iterable
    {
        $notice = ChangeNotice::query()->where('order_id', $order->id)->first();
        if ($notice === null) {
            return;
        }
        yield "{$notice->number}.json" => $notice->content;
        yield "{$notice->number}.html" => NoticePaper::html($notice);
        // Whoever waits for a page goes first; a worker has time.
        yield "{$notice->number}.pdf" => retry(15, static fn(): string => NoticePaper::pdf($notice), 2_000);
    }

    /** @return iterable<string, string> */
    private function signatures(ChangeOrder $order): iterable
    {
        $signatures = $order
            ->signatures()
            ->with(['person', 'for'])
            ->where('meaning', 'signed')
            ->where('void', false)
            ->orderBy('id')
            ->get();
        yield 'signatures.json' => json_encode(
            array_values($signatures->map(static fn(Signature $one): NoticeSignature => NoticeSignature::of($one))->all()),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        ) . "\n";
    }

    /** @return iterable<string, string> */
    private function handovers(ChangeOrder $order): iterable
    {
        foreach (Handover::query()->with('files')->where('order_id', $order->id)->orderBy('id')->get() as $handover) {
            foreach ($handover->files as $file) {
                yield "hand-over/{$handover->name}.{$file->format->value}" => $file->content;
            }
        }
    }

    /** @return iterable<string, string> */
    private function markUps(ChangeOrder $order): iterable
    {
        $files = ChangeFile::query()
            ->whereIn('request_id', $order->requests()->pluck('change_requests.id'))
            ->where('role', AttachmentRole::MarkUp)
            ->orderBy('brought_at')
            ->get();
        foreach ($files as $at => $file) {
            yield 'mark-ups/' . self::named(sprintf('%02d_%s', $at + 1, $file->name)) => self::stored($file->file_id);
        }
    }

    private static function stored(string $id): string
    {
        return StoredFile::with($id, static fn(string $path): string => (string) file_get_contents($path));
    }

    /** As a file is called on any machine. */
    private static function named(string $name): string
    {
        return ltrim(preg_replace('/[^A-Za-z0-9._-]+/', '-', $name) ?? 'file', '.-');
    }
}
