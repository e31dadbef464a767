<?php

declare(strict_types=1);

namespace Tests\Torture;

use GuzzleHttp\Client as Guzzle;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\TransferException;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Middleware;
use Psr\Http\Message\RequestInterface;
use Psr\Http\Message\ResponseInterface;

/** One person at the API, as a browser is: with a session and its token. */
final class Client
{
    private Guzzle $http;

    private CookieJar $cookies;

    private CurlMultiHandler $running;

    public function __construct(
        private readonly string $url,
        private readonly string $login,
        private readonly string $password = 'quillback',
    ) {
        $this->begin();
    }

    private function begin(): void
    {
        $this->cookies = new CookieJar();
        $this->running = new CurlMultiHandler(['select_timeout' => 0.001]);
        $stack = HandlerStack::create($this->running);
        $stack->push(
            Middleware::mapRequest(
                fn(RequestInterface $request): RequestInterface => $request
                    ->withHeader('Accept', 'application/json')
                    ->withHeader('X-XSRF-TOKEN', rawurldecode((string) $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue())),
            ),
        );
        $this->http = new Guzzle([
            'base_uri' => $this->url,
            'cookies' => $this->cookies,
            'http_errors' => false,
            'handler' => $stack,
            'timeout' => 130,
            'connect_timeout' => 5,
        ]);
        $answer = $this->http->post('/api/session', ['json' => ['login' => $this->login, 'password' => $this->password]]);
        $answer->getStatusCode() === 200 ||
            throw new \RuntimeException("{$this->login} cannot sign in: {$answer->getStatusCode()} {$answer->getBody()}");
    }

    /**
     * @param  array<string, mixed>  $options  of Guzzle
     * @return ?ResponseInterface null when the server broke off, as it does when it is killed
     */
    public function ask(string $method, string $path, array $options = []): ?ResponseInterface
    {
        try {
            $answer = $this->http->request($method, $path, $options);
            while ($answer->getStatusCode() === 202 && $answer->getHeaderLine('Location') !== '') {
                usleep(100_000);
                $answer = $this->http->request('GET', $answer->getHeaderLine('Location'));
            }
        } catch (TransferException) {
            return null;
        }

        return $answer;
    }

    /**
     * What has to work for the rest to make sense.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public function must(string $method, string $path, array $body = []): array
    {
        $answer = $this->ask($method, "/api{$path}", $method === 'GET' ? [] : ['json' => (object) $body]);
        if ($answer === null || $answer->getStatusCode() !== 200) {
            throw new \RuntimeException(
                "{$method} {$path}: " .
                    ($answer === null ? 'no answer' : $answer->getStatusCode() . ' ' . mb_substr((string) $answer->getBody(), 0, 300)),
            );
        }

        return (array) json_decode((string) $answer->getBody(), true, 512, JSON_THROW_ON_ERROR);
    }

    /**
     * Sends, goes on with something else after a while, and comes back for the answer.
     *
     * @param  array<string, mixed>  $body
     * @return ?ResponseInterface null when the server broke off meanwhile
     */
    public function during(string $method, string $path, array $body, int $milliseconds, \Closure $meanwhile): ?ResponseInterface
    {
        $promise = $this->http->requestAsync($method, "/api{$path}", ['json' => (object) $body]);
        for ($until = microtime(true) + $milliseconds / 1000; microtime(true) < $until; ) {
            $this->running->tick();
        }
        $meanwhile();
        try {
            $answer = $promise->wait();
        } catch (TransferException) {
            return null;
        }

        return $answer instanceof ResponseInterface ? $answer : null;
    }
}
