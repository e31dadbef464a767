<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\StructureView;
use Illuminate\Support\Facades\DB;

/** Which version of the lists is used, and what has changed since: together they stand for the structures as they are now. */
final readonly class IndexState
{
    /**
     * @param  ?string  $folder  of the version; null: there is none
     * @param  array<int, int>  $pinned  revision => its item, of all that have a node
     * @param  array<int, int>  $noted  note => item: what has changed since
     */
    private function __construct(
        public ?string $folder,
        public int $size,
        public int $lastItem,
        public array $pinned,
        public bool $ordered,
        public array $noted,
    ) {}

    public static function now(StructureView $view = new StructureView()): self
    {
        $folder = (new IndexFolder($view))->current();
        /** @var array{known: int, size: int, last_item: int, pinned?: array<int, int>, ordered: bool, database: string} $manifest */
        $manifest =
            $folder === null
                ? ['known' => 0, 'size' => 0, 'last_item' => 0, 'pinned' => [], 'ordered' => true, 'database' => '']
                : DamagedIndex::guard($folder, IndexFolder::MANIFEST);

        return new self(
            folder: $folder,
            size: $manifest['size'],
            lastItem: $manifest['last_item'],
            pinned: $manifest['pinned'] ?? [],
            ordered: $manifest['ordered'],
            noted: self::noted($manifest['known']),
        );
    }

    /** A name for the structures as they are now: with the next release it is another one. */
    public function name(): string
    {
        return basename((string) $this->folder) . " {$this->notes()}";
    }

    /** What has changed since, in a few letters. */
    public function notes(): string
    {
        $notes = array_keys($this->noted);
        sort($notes);

        return substr(md5(implode(' ', $notes)), 0, 12);
    }

    /** @return array<int, int> note => item */
    private static function noted(int $known): array
    {
        // Asked for every question, so in one trip: prepared on the server it takes three. There is nothing in it but our own number.
        $touched = DB::connection()
            ->getPdo()
            ->prepare("SELECT id, item_id FROM structure_touches WHERE xact >= {$known}", [\PDO::ATTR_EMULATE_PREPARES => true]);
        $touched->execute();
        /** @var array<int, int> $noted */
        $noted = $touched->fetchAll(\PDO::FETCH_KEY_PAIR);

        return $noted;
    }
}
