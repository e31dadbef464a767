<?php

declare(strict_types=1);

/** Takes hand-overs, entry by entry. What was taken once is never applied again; what was refused is looked at anew. */
final class HandOvers
{
    public function __construct(private readonly Planning $planning) {}

    /**
     * @param  bool  $half  it stops in the middle
     * @return array{name: string, entries: list<array{entry: int, answer: string, reason: string}>}
     */
    public function take(string $name, string $xml, bool $half = false): array
    {
        $document = $this->read($name, $xml);
        $db = $this->planning->db;
        $db->beginTransaction();
        $db->prepare(
            '
            INSERT INTO hand_over (name, content_hash) VALUES (?, ?)
            ON CONFLICT (name) DO UPDATE SET times_received = hand_over.times_received + 1',
        )->execute([$name, hash('sha256', $xml)]);
        $kept = $db->prepare('SELECT content_hash FROM hand_over WHERE name = ? FOR UPDATE');
        $kept->execute([$name]);
        if ($kept->fetchColumn() !== hash('sha256', $xml)) {
            $db->rollBack();
            throw new InvalidArgumentException("{$name} was received before with another content.");
        }
        $taken = $db->prepare("SELECT entry FROM hand_over_entry WHERE name = ? AND answer = 'taken'");
        $taken->execute([$name]);
        $done = array_flip($taken->fetchAll(PDO::FETCH_COLUMN));

        $answers = [];
        $entries = $document->getElementsByTagName('entry');
        foreach ($entries as $entry) {
            $number = (int) $entry->getAttribute('number');
            $stopped = $half && $number * 2 > $entries->length;
            $reason = isset($done[$number]) ? '' : ($stopped ? 'Planning stopped in the middle.' : $this->fault($entry));
            if (!isset($done[$number])) {
                if ($reason === '') {
                    $this->apply($entry, (string) $document->documentElement?->getAttribute('effectiveFrom'));
                }
                $db->prepare(
                    '
                    INSERT INTO hand_over_entry VALUES (?, ?, ?, ?, ?)
                    ON CONFLICT (name, entry) DO UPDATE SET answer = excluded.answer, reason = excluded.reason,
                        times_applied = hand_over_entry.times_applied + excluded.times_applied',
                )->execute([$name, $number, $reason === '' ? 'taken' : 'refused', $reason, $reason === '' ? 1 : 0]);
            }
            $answers[] = ['entry' => $number, 'answer' => $reason === '' ? 'taken' : 'refused', 'reason' => $reason];
        }
        $db->commit();

        return ['name' => $name, 'entries' => $answers];
    }

    private function read(string $name, string $xml): DOMDocument
    {
        libxml_use_internal_errors(true);
        $document = new DOMDocument();
        if ($name === '' || !$document->loadXML($xml, LIBXML_NONET) || !$document->schemaValidate(self::schema($document))) {
            throw new InvalidArgumentException(
                'This is no hand-over as agreed: ' . (libxml_get_last_error() ?: (object) ['message' => 'no name'])->message,
            );
        }

        return $document;
    }

    /** What was written before plants were told of is still taken. */
    private static function schema(DOMDocument $document): string
    {
        $version = $document->documentElement?->namespaceURI === 'urn:orthotaxis:hand-over:1' ? 1 : 2;

        return __DIR__ . "/../../resources/schemas/hand-over-{$version}.xsd";
    }

    /** Why an entry cannot be taken; empty when it can. */
    private function fault(DOMElement $entry): string
    {
        if ($entry->getAttribute('structure') === 'document') {
            return (new Documents($this->planning))->fault($entry);
        }
        // Schema 1 is of engineering alone and does not say so.
        $introduces =
            $entry->getAttribute('action') === 'introduce' && in_array($entry->getAttribute('structure'), ['', 'engineering'], true);
        $named = [
            $introduces ? '' : $entry->getAttribute('item'),
            $entry->getAttribute('component'),
            $entry->getAttribute('field') === 'replaced_by' ? $entry->getAttribute('value') : '',
        ];
        foreach ($named as $number) {
            if ($number !== '' && $this->locked($number) === null) {
                return "Item {$number} is not known to planning.";
            }
        }
        foreach ([$entry->getAttribute('item'), ...$named] as $number) {
            if ($number !== '' && $this->locked($number) === true) {
                return "Item {$number} is locked in planning.";
            }
        }

        return '';
    }

    /** @return ?bool null: it does not know such an item */
    private function locked(string $number): ?bool
    {
        $known = $this->planning->db->prepare('SELECT locked::int FROM item WHERE number = ?');
        $known->execute([$number]);
        $locked = $known->fetchColumn();

        return $locked === false ? null : (int) $locked === 1;
    }

    private function apply(DOMElement $entry, string $effectiveFrom): void
    {
        if ($entry->getAttribute('structure') === 'document') {
            (new Documents($this->planning))->settle($entry);

            return;
        }
        (new Copy($this->planning))->apply($entry, $effectiveFrom);
        if (!in_array($entry->getAttribute('structure'), ['', 'engineering'], true)) {
            return;
        }
        $db = $this->planning->db;
        [$item, $revision] = [$entry->getAttribute('item'), $entry->getAttribute('revision')];
        if ($entry->getAttribute('action') === 'introduce') {
            $db->prepare(
                'INSERT INTO item (number, revision, unit) VALUES (?, ?, ?) ON CONFLICT (number) DO UPDATE SET revision = excluded.revision',
            )->execute([$item, $revision, $entry->getAttribute('itemUnit')]);
        } elseif ($entry->getAttribute('action') === 'supersede') {
            $db->prepare('UPDATE item SET revision = ? WHERE number = ?')->execute([$revision, $item]);
        }
    }
}
