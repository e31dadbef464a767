<?php

declare(strict_types=1);

// The mails that the simulated mail server has taken, to be read: /, /mails.json, /{number}

use StandIns\Mail\Mail;

require __DIR__ . '/Mail.php';

$folder = (string) getenv('MAIL_FOLDER');
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$escape = static fn(string $text): string => htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);
if ($path === '/up') {
    exit('up');
}
$read = static fn(string $file): Mail => Mail::read((string) file_get_contents($file));
$style =
    '<!doctype html><html lang="en"><meta charset="utf-8"><title>Mails</title><style>body{font:15px sans-serif;margin:2rem;max-width:60rem}' .
    'table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.25rem .75rem .25rem 0;border-bottom:1px solid #bbb;' .
    'vertical-align:top}iframe{width:100%;height:32rem;border:1px solid #bbb}pre{white-space:pre-wrap}</style>';
if (preg_match('#^/(\d{1,9})$#D', $path, $of) === 1) {
    $file = sprintf('%s/%06d.eml', $folder, (int) $of[1]);
    if (!is_file($file)) {
        http_response_code(404);
        exit($style . '<p>There is no such mail.</p>');
    }
    $mail = $read($file);
    echo $style, '<p><a href="/">All mails</a></p><h1>', $escape($mail->headers['subject'] ?? ''), '</h1><p>To ';
    echo $escape($mail->headers['to'] ?? ''), ', ', $escape($mail->headers['date'] ?? ''), '</p>';
    // What a mail brings along runs nothing here.
    echo '<iframe sandbox="allow-popups" title="The mail" srcdoc="', $escape($mail->bodies['text/html'] ?? ''), '"></iframe>';
    echo '<h2>As plain text</h2><pre>', $escape($mail->bodies['text/plain'] ?? ''), '</pre>';
    exit();
}
$mails = [];
foreach (array_reverse(glob("{$folder}/*.eml") ?: []) as $file) {
    $mail = $read($file);
    $mails[] = [
        'number' => (int) basename($file, '.eml'),
        'id' => $mail->headers['message-id'] ?? '',
        'to' => $mail->headers['x-envelope-to'] ?? '',
        'subject' => $mail->headers['subject'] ?? '',
        'date' => $mail->headers['date'] ?? '',
        'text' => $mail->bodies['text/plain'] ?? '',
    ];
}
if ($path === '/mails.json') {
    header('Content-Type: application/json');
    exit(json_encode($mails, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR));
}
echo $style, '<h1>Mails taken by the stand-in</h1><p>None of them goes any further.</p>';
echo '<table><tr><th>To<th>Subject<th>Sent</tr>';
foreach ($mails as $mail) {
    [$to, $subject, $date] = array_map($escape, [$mail['to'], $mail['subject'], $mail['date']]);
    echo "<tr><td>{$to}<td><a href=\"/{$mail['number']}\">{$subject}</a><td>{$date}</tr>";
}
echo '</table>', $mails === [] ? '<p>No mail has come yet.</p>' : '';
