<?php

declare(strict_types=1);
// Checks an export of the ledger; needs nothing but PHP with its openssl extension:
//     php check-ledger.php EXPORT HOUSE-KEY.pem [ANCHORS]
// EXPORT begins with a line of JSON that tells the first and the last record, the hash before the first and that of the last.
// A line for each record follows: a SHA-256, a blank, and the JSON that it is the SHA-256 of, which ends with the hash of the
// record before. The last line is the signature of the first (SHA-256, base64). ANCHORS is the file in which the state of the
// ledger was noted outside of the database, day by day: number, moment, hash, seal.

function wrong(string $what): never
{
    fwrite(STDERR, "NOT WHOLE: {$what}\n");
    exit(1);
}

$export = fopen($argv[1] ?? '', 'rb') ?: wrong('there is no export to read.');
$head = rtrim((string) fgets($export), "\n");
$told = json_decode($head, true) ?? wrong('the first line is not the head of an export.');
$noted = [];
foreach (isset($argv[3]) ? (@file($argv[3]) ?: wrong('there are no anchors to read.')) : [] as $line) {
    $note = explode(' ', $line) + ['', '', ''];
    $noted[(int) $note[0]] = $note[2];
}
$number = $told['from'] - 1;
$hash = $told['before'];
while (($line = fgets($export)) !== false && !str_starts_with($line, 'signature ')) {
    [$is, $text] = explode(' ', rtrim($line, "\n"), 2) + ['', ''];
    $record = json_decode($text, true);
    $number++;
    ($record[0] ?? null) === $number || wrong("record {$number} is missing, or something was put in its place.");
    ($record[6] ?? null) === $hash || wrong("record {$number} does not follow the one before it.");
    hash('sha256', $text) === $is || wrong("record {$number} was altered.");
    ($noted[$number] ?? $is) === $is || wrong("record {$number} is another one than was noted outside.");
    $hash = $is;
}
($number === $told['to'] && $hash === $told['hash']) || wrong('it ends with another record than its head tells.');
$signature = base64_decode(substr((string) $line, strlen('signature ')));
$key = file_get_contents($argv[2] ?? '') ?: wrong('there is no key to read.');
openssl_verify($head, $signature, $key, OPENSSL_ALGO_SHA256) === 1 || wrong('its head was not signed with this key.');
$among = array_filter(array_keys($noted), fn($one) => $one >= $told['from'] && $one <= $number);
$later = array_filter(array_keys($noted), fn($one) => $one > $number);
echo "WHOLE: records {$told['from']} to {$number} of {$told['ledger']}, as exported {$told['exported_at']}.\n";
echo count($among) . ' of them agree with what was noted outside; ' . count($later) . " notes are of later records.\n";
