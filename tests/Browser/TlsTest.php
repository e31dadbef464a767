<?php

declare(strict_types=1);

use Psr\Http\Message\ResponseInterface;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\TlsProxy;

/* The product behind nginx with a certificate of its own, by the very file that docs/operations.md names. */

beforeEach(fn() => ($this->proxy = TlsProxy::start((string) getenv('BROWSER_URL'))));
afterEach(fn() => $this->proxy->stop());

it('marks cookies secure, and tells browsers to stay encrypted', function (): void {
    $answer = $this->proxy->signIn('vera.stone', 'quillback');
    expect($answer->getStatusCode())
        ->toBe(200)
        ->and($answer->getHeaderLine('Strict-Transport-Security'))
        ->toBe('max-age=31536000; includeSubDomains');
    $cookies = $answer->getHeader('Set-Cookie');
    expect($cookies)
        ->not->toBe([])
        ->and(array_filter($cookies, static fn(string $cookie): bool => !str_contains(strtolower($cookie), '; secure')))
        ->toBe([])
        // Nothing of who serves it.
        ->and($answer->getHeaderLine('X-Powered-By'))
        ->toBe('')
        ->and($answer->getHeaderLine('Server'))
        ->toBe('nginx');
    // In the clear nothing is promised.
    $plain = $this->proxy->ask('GET', getenv('BROWSER_URL') . '/up');
    expect($plain->getHeaderLine('Strict-Transport-Security'))->toBe('');
});

it('speaks no old protocol', function (): void {
    $old = new Process(['openssl', 's_client', '-connect', $this->proxy->address, '-tls1_1', '-brief'], input: '');
    $old->run();
    expect($old->getExitCode())->not->toBe(0);
});

it('slows down the address that guesses, whatever that says of itself, and nobody else', function (): void {
    $guess = fn(int $at): ResponseInterface => $this->proxy->signIn(
        'nobody.' . $at,
        'wrong',
        from: '127.0.0.77',
        headers: ['X-Forwarded-For' => "198.51.100.{$at}", 'Forwarded' => "for=198.51.100.{$at}"],
    );
    $statuses = array_map(static fn(int $at): int => $guess($at)->getStatusCode(), range(1, 40));
    expect(end($statuses))
        ->toBe(429)
        ->and($statuses[0])
        ->toBe(422)
        ->and($guess(41)->getHeaderLine('Retry-After'))
        ->not->toBe('')
        ->and($this->proxy->signIn('vera.stone', 'quillback', from: '127.0.0.78')->getStatusCode())
        ->toBe(200);
});
