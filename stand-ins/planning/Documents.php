<?php

declare(strict_types=1);

/** Stock and open documents that a hand-over says something about: what became old is changed over, reworked or ended. */
final class Documents
{
    private const WHERE = 'WHERE document = ? AND kind = ? AND item = ? AND revision = ? AND place = ? AND serial = ?';

    public function __construct(private readonly Planning $planning) {}

    /** Why it cannot be done; empty when it can. */
    public function fault(DOMElement $entry): string
    {
        $document = $entry->getAttribute('document');
        $found = $this->planning->db->prepare('SELECT max(issued) AS issued, count(*) AS some FROM supply ' . self::WHERE);
        $found->execute(self::key($entry));
        $row = $found->fetch();
        $toItem = $entry->getAttribute('toItem');

        return match (true) {
            !is_array($row) || (int) $row['some'] === 0 => "{$document} is not there any more, or is another by now.",
            (float) $row['issued'] > 0 && $entry->getAttribute('way') !== 'rework' => "{$document} has begun: parts were issued to it.",
            $toItem !== '' && $this->planning->unknown([$toItem]) !== [] => "Item {$toItem} is not known to planning.",
            default => '',
        };
    }

    public function settle(DOMElement $entry): void
    {
        $key = self::key($entry);
        $db = $this->planning->db;
        if (in_array($entry->getAttribute('way'), ['cancel', 'return', 'scrap'], true)) {
            $db->prepare('DELETE FROM supply ' . self::WHERE)->execute($key);

            return;
        }
        [$toItem, $toRevision] = [$entry->getAttribute('toItem'), $entry->getAttribute('toRevision')];
        $db->prepare('UPDATE supply SET item = ?, revision = ? ' . self::WHERE)->execute([
            $toItem === '' ? $entry->getAttribute('item') : $toItem,
            // Of another item the document names none until somebody here says which.
            $toItem === '' ? $toRevision : '',
            ...$key,
        ]);
    }

    /** @return list<string> */
    private static function key(DOMElement $entry): array
    {
        return array_map($entry->getAttribute(...), ['document', 'documentKind', 'item', 'revision', 'place', 'serial']);
    }
}
