<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/** Many people of one group who may sign, each with a token, who all ask for something at the same moment. */
final class Crowd
{
    private const ROLE = 'quality';

    public readonly string $group;

    /** @var list<string> */
    public readonly array $logins;

    /** @var list<string> */
    private array $tokens = [];

    private \PDO $pdo;

    public function __construct(private readonly string $address, int $size)
    {
        $this->pdo = new \PDO(
            sprintf('pgsql:host=127.0.0.1;port=%s;dbname=browser', getenv('PGPORT')),
            (string) getenv('PGUSER'),
            (string) getenv('PGPASSWORD'),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
        $this->group = 'crowd' . bin2hex(random_bytes(3));
        $this->logins = array_map(fn(int $at): string => "{$this->group}.{$at}", range(1, $size));
        foreach ($this->logins as $login) {
            $person = $this->value("INSERT INTO people (login, name, email, password, roles) VALUES (?, ?, ?, '', ?) RETURNING id", [
                $login,
                ucfirst($login),
                "{$login}@quillback.example",
                json_encode([self::ROLE]),
            ]);
            $plain = bin2hex(random_bytes(20));
            $token = $this->value(
                "INSERT INTO personal_access_tokens (tokenable_type, tokenable_id, name, token, abilities)
                 VALUES ('App\\People\\Models\\Person', ?, 'crowd', ?, '[\"*\"]') RETURNING id",
                [$person, hash('sha256', $plain)],
            );
            $this->tokens[] = "{$token}|{$plain}";
        }
        (new Api($address, 'ivo.tanner'))->call('PUT', "/groups/{$this->group}", [
            'name' => "The {$this->group}",
            'members' => $this->logins,
            'retired' => false,
        ]);
    }

    /**
     * @param  non-empty-string  $method
     * @param  array<string, mixed>  $body
     * @return list<int> the status that each is answered, in their order
     */
    public function all(string $method, string $path, array $body = []): array
    {
        $multi = curl_multi_init();
        $asks = [];
        foreach ($this->tokens as $token) {
            $asks[] = $ask = curl_init("{$this->address}/api{$path}") ?: throw new \LogicException("{$path} is no address.");
            curl_setopt_array($ask, [
                CURLOPT_CUSTOMREQUEST => $method,
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_TIMEOUT => 120,
                CURLOPT_POSTFIELDS => json_encode($body === [] ? new \stdClass() : $body, JSON_THROW_ON_ERROR),
                CURLOPT_HTTPHEADER => ["Authorization: Bearer {$token}", 'Content-Type: application/json', 'Accept: application/json'],
            ]);
            curl_multi_add_handle($multi, $ask);
        }
        do {
            $said = curl_multi_exec($multi, $running);
            curl_multi_select($multi, 1.0);
        } while ($running > 0 && $said === CURLM_OK);

        return array_map(static fn(\CurlHandle $ask): int => (int) curl_getinfo($ask, CURLINFO_RESPONSE_CODE), $asks);
    }

    /** @return string number of an order that is judged on a path: a new item gets its first line */
    public function judged(string $path): string
    {
        $mira = new Api($this->address, 'mira.okafor');
        $jonas = new Api($this->address, 'jonas.weir');
        $item = $jonas->call('POST', '/items', [
            'title' => 'Plate of the crowd',
            'kind' => 'assembly',
            'category' => 'pump',
            'unit' => 'pc',
            'supply' => 'make',
        ])['number'];
        $order = $mira->order('Plate of the crowd', $item);
        $mira->call('PATCH', "/orders/{$order}", [
            'editor' => 'jonas.weir',
            'path' => $path,
            'effective_on' => date('Y-m-d', strtotime('+40 days')),
            'version' => 1,
        ]);
        $mira->call('PUT', "/orders/{$order}/items/{$item}", ['outcome' => 'revise', 'disposition' => null, 'version' => 2]);
        $mira->call('POST', "/orders/{$order}/opening", ['version' => 3]);
        $jonas->call('POST', "/orders/{$order}/items/{$item}/edits", [
            'operation' => 'add',
            'line' => '',
            'fields' => ['find' => '10', 'component' => '600-0014', 'quantity' => '2', 'unit' => 'pc'],
            'seen' => 0,
        ]);
        $version = $this->value('SELECT version FROM change_orders WHERE number = ?', [$order]);
        $jonas->call('POST', "/orders/{$order}/review", ['version' => $version]);

        return $order;
    }

    /** What comes after is not offered two hundred more people. */
    public function disperse(): void
    {
        $this->value('UPDATE people SET active = false WHERE login LIKE ? RETURNING 1', ["{$this->group}.%"]);
        $this->value('DELETE FROM group_members WHERE group_id = (SELECT id FROM groups WHERE code = ?) RETURNING 1', [$this->group]);
        $this->value('UPDATE groups SET retired = true WHERE code = ? RETURNING 1', [$this->group]);
        $this->value('UPDATE approval_paths SET retired = true WHERE code = ? RETURNING 1', [$this->group]);
    }

    /** @param  list<mixed>  $with */
    public function value(string $sql, array $with = []): mixed
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($with);

        return $statement->fetchColumn();
    }
}
