<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Filesystem\Filesystem;
use Psr\Http\Message\ResponseInterface;
use Symfony\Component\Process\Process;

/** nginx with a certificate made for it, in front of the product that is under test. */
final readonly class TlsProxy
{
    private function __construct(public string $address, private string $folder, private Process $nginx) {}

    public static function start(string $application): self
    {
        $folder = sys_get_temp_dir() . '/orthotaxis-tls-' . bin2hex(random_bytes(4));
        mkdir($folder, 0700);
        $request = new Process([
            'openssl',
            'req',
            '-x509',
            '-newkey',
            'ec',
            '-pkeyopt',
            'ec_paramgen_curve:P-256',
            '-nodes',
            '-days',
            '2',
            '-subj',
            '/CN=localhost',
            '-addext',
            'subjectAltName=DNS:localhost,IP:127.0.0.1',
            '-keyout',
            "{$folder}/key.pem",
            '-out',
            "{$folder}/certificate.pem",
        ]);
        $request->mustRun();
        for ($try = 0; ; $try++) {
            $address = '127.0.0.1:' . random_int(30_000, 39_000);
            file_put_contents(
                "{$folder}/nginx.conf",
                (posix_geteuid() === 0 ? "user root;\n" : '') .
                    strtr((string) file_get_contents(dirname(__DIR__, 3) . '/docs/nginx-tls.conf'), [
                        '@DIR@' => $folder,
                        '@ADDRESS@' => $address,
                        '@NAME@' => 'localhost',
                        '@CERTIFICATE@' => "{$folder}/certificate.pem",
                        '@KEY@' => "{$folder}/key.pem",
                        '@APPLICATION@' => $application,
                    ]),
            );
            $nginx = new Process(['nginx', '-c', "{$folder}/nginx.conf", '-g', 'daemon off;']);
            $nginx->start();
            for ($wait = 0; $wait < 50 && $nginx->isRunning(); $wait++) {
                usleep(50_000);
                if (@fsockopen('127.0.0.1', (int) explode(':', $address)[1]) !== false) {
                    return new self($address, $folder, $nginx);
                }
            }
            $try < 5 || throw new \RuntimeException('nginx did not start: ' . $nginx->getErrorOutput());
        }
    }

    public function stop(): void
    {
        $this->nginx->stop(2);
        (new Filesystem())->deleteDirectory($this->folder);
    }

    /** @param  array<string, string>  $headers */
    public function signIn(string $login, string $password, string $from = '127.0.0.1', array $headers = []): ResponseInterface
    {
        $cookies = new CookieJar();
        $this->ask('GET', "https://{$this->address}/", $from, ['cookies' => $cookies]);
        $token = $cookies->getCookieByName('XSRF-TOKEN')?->getValue();

        return $this->ask('POST', "https://{$this->address}/api/session", $from, [
            'cookies' => $cookies,
            'json' => ['login' => $login, 'password' => $password],
            'headers' => ['X-XSRF-TOKEN' => rawurldecode((string) $token), 'Accept' => 'application/json'] + $headers,
        ]);
    }

    /** @param  array<string, mixed>  $options */
    public function ask(string $method, string $url, string $from = '127.0.0.1', array $options = []): ResponseInterface
    {
        return (new Client())->request(
            $method,
            $url,
            $options + ['verify' => "{$this->folder}/certificate.pem", 'http_errors' => false, 'curl' => [CURLOPT_INTERFACE => $from]],
        );
    }
}
