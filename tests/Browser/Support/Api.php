<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/** The API as programs use it, in the name of a person of the demo. */
final class Api
{
    private string $token;

    public function __construct(private readonly string $address, string $login)
    {
        $artisan = escapeshellarg(dirname(__DIR__, 3) . '/artisan');
        $this->token = trim((string) shell_exec("php {$artisan} token:issue " . escapeshellarg($login) . ' test'));
    }

    /** @param  ?array<string, mixed>  $body */
    public function prepare(string $method, string $path, ?array $body = null): \CurlHandle
    {
        $curl = curl_init($this->address . '/api' . $path) ?: throw new \LogicException("{$path} is no address.");
        curl_setopt($curl, CURLOPT_CUSTOMREQUEST, $method === '' ? 'GET' : $method);
        curl_setopt($curl, CURLOPT_RETURNTRANSFER, true);
        curl_setopt($curl, CURLOPT_HTTPHEADER, [
            "Authorization: Bearer {$this->token}",
            'Content-Type: application/json',
            'Accept: application/json',
        ]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, json_encode($body, JSON_THROW_ON_ERROR));
        }

        return $curl;
    }

    /**
     * @param  ?array<string, mixed>  $body
     * @return array<string, mixed> what it answers
     */
    public function call(string $method, string $path, ?array $body = null): array
    {
        $curl = $this->prepare($method, $path, $body);
        $answer = (string) curl_exec($curl);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        if ($status >= 300) {
            throw new \RuntimeException("{$method} {$path}: {$status} {$answer}");
        }

        /** @var array<string, mixed> */
        return $answer === '' ? [] : json_decode($answer, true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * Assesses and approves a request about one item, which somebody else raises.
     *
     * @return string the number of the order it becomes
     */
    public function order(string $title, string $item): string
    {
        $request = (new self($this->address, 'samir.bello'))->call('POST', '/requests', [
            'title' => $title,
            'reason' => 'defect',
            'source' => 'shop_floor',
            'site' => 'Weir',
            'priority' => 'normal',
            'description' => 'Seen at the bench.',
            'items' => [$item],
        ])['number'];
        $this->call('POST', "/requests/{$request}/finding", ['finding' => 'Feasible.', 'version' => 1]);
        $this->call('POST', "/requests/{$request}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2]);

        return $this->call('POST', "/requests/{$request}/order")['number'];
    }
}
