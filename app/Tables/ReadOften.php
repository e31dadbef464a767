<?php

declare(strict_types=1);

namespace App\Tables;

/**
 * For models of which there are hundreds in one answer. Whenever one of its attributes is looked at, Eloquent puts the casts of a model
 * together anew and asks in eight ways whether it is computed, and of a relation all of them before it looks whether it is there: 8 µs.
 * What is asked of the class is the same for all of its kind.
 */
trait ReadOften
{
    /** @var array<string, string>|null */
    private static ?array $castsKnown = null;

    /** @var array<string, string> by attribute, the type in which what the row says is what is told; empty: in any */
    private static array $asRead = [];

    /** @return array<string, string> */
    public function getCasts(): array
    {
        return self::$castsKnown ??= parent::getCasts();
    }

    public function getAttribute($key): mixed
    {
        if (array_key_exists($key, $this->relations)) {
            return $this->relations[$key];
        }
        if (!array_key_exists($key, $this->attributes)) {
            return parent::getAttribute($key);
        }
        $value = $this->attributes[$key];
        $type = self::$asRead[$key] ??= $this->typeAsRead($key);

        return $type === '' || get_debug_type($value) === $type ? $value : parent::getAttribute($key);
    }

    private function typeAsRead(string $key): string
    {
        if ($this->hasAnyGetMutator($key) || in_array($key, $this->getDates(), true)) {
            return 'never';
        }

        return $this->hasCast($key) ? (in_array($this->getCasts()[$key], ['int', 'bool'], true) ? $this->getCasts()[$key] : 'never') : '';
    }
}
