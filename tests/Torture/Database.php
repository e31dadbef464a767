<?php

declare(strict_types=1);

namespace Tests\Torture;

/** Looks at what is really kept, past the product. */
final class Database
{
    private \PDO $pdo;

    public function __construct(private readonly string $name)
    {
        $this->connect();
    }

    private function connect(): void
    {
        $this->pdo = new \PDO(
            sprintf('pgsql:host=127.0.0.1;port=%s;dbname=%s', getenv('PGPORT'), $this->name),
            (string) getenv('PGUSER'),
            (string) getenv('PGPASSWORD'),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }

    /** @param  list<mixed>  $with */
    public function value(string $sql, array $with = []): mixed
    {
        // It is killed as everything else, and back after some seconds: what is looked at then has to be looked at again.
        for ($try = 0; ; $try++) {
            try {
                $statement = $this->pdo->prepare($sql);
                $statement->execute($with);
                break;
            } catch (\PDOException $fault) {
                self::isAway($fault) || throw $fault;
                $this->comesBack($try);
            }
        }
        $value = $statement->fetchColumn();

        return $value === false ? null : $value;
    }

    private static function isAway(\PDOException $fault): bool
    {
        return preg_match(
            '/server closed|no connection|terminating connection|in recovery mode|starting up|Connection refused|crash of another/i',
            $fault->getMessage(),
        ) === 1;
    }

    private function comesBack(int $try): void
    {
        for (; $try < 150; $try++) {
            usleep(200_000);
            try {
                $this->connect();

                return;
            } catch (\PDOException) {
                continue;
            }
        }
        throw new \RuntimeException('The database did not come back after it was killed.');
    }

    /**
     * Whether something becomes true in time.
     *
     * @param  list<mixed>  $with
     */
    public function waits(float $seconds, string $sql, array $with = []): bool
    {
        $until = microtime(true) + $seconds;
        do {
            // PDO may give booleans as text.
            if (in_array($this->value($sql, $with), [true, 't', '1', 1], true)) {
                return true;
            }
            usleep(100_000);
        } while (microtime(true) < $until);

        return false;
    }
}
