<?php

declare(strict_types=1);

// A simulated mail server: takes every mail, keeps it as a file, and sends none on. php server.php PORT FOLDER

use StandIns\Mail\Session;

require __DIR__ . '/Session.php';

[, $port, $folder] = $argv;
is_dir($folder) || mkdir($folder, 0o777, true);
$server = stream_socket_server("tcp://127.0.0.1:{$port}", $code, $fault) ?: exit("could not bind: {$fault}\n");
$kept = count(glob("{$folder}/*.eml") ?: []);
$keep = static function (string $mail, array $to) use ($folder, &$kept): void {
    $name = sprintf('%s/%06d', $folder, ++$kept);
    // Whoever reads the folder meanwhile sees a whole mail or none.
    file_put_contents("{$name}.part", 'X-Envelope-To: ' . implode(', ', $to) . "\r\n" . $mail);
    rename("{$name}.part", "{$name}.eml");
};
$clients = $sessions = [];
while (true) {
    $read = [$server, ...$clients];
    $write = $except = null;
    if (stream_select($read, $write, $except, null) === false) {
        exit();
    }
    foreach ($read as $stream) {
        if ($stream === $server) {
            $client = stream_socket_accept($server, 0);
            if ($client !== false) {
                $clients[(int) $client] = $client;
                $sessions[(int) $client] = new Session($keep);
                fwrite($client, "220 stand-in\r\n");
            }

            continue;
        }
        $said = fread($stream, 65_536);
        $session = $sessions[(int) $stream];
        if ($said !== false && $said !== '') {
            $answer = $session->hear($said);
            $answer === '' || fwrite($stream, $answer);
        }
        if ($session->isOver || feof($stream)) {
            unset($clients[(int) $stream], $sessions[(int) $stream]);
            fclose($stream);
        }
    }
}
