<?php

declare(strict_types=1);

namespace Tests\Torture;

/** Looks at what is really kept, past the product. */
final readonly class Database
{
    private \PDO $pdo;

    public function __construct(string $name)
    {
        $this->pdo = new \PDO(
            sprintf('pgsql:host=127.0.0.1;port=%s;dbname=%s', getenv('PGPORT'), $name),
            (string) getenv('PGUSER'),
            (string) getenv('PGPASSWORD'),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }

    /** @param  list<mixed>  $with */
    public function value(string $sql, array $with = []): mixed
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($with);
        $value = $statement->fetchColumn();

        return $value === false ? null : $value;
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
