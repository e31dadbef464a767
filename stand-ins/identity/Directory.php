<?php

declare(strict_types=1);

namespace StandIns\Identity;

/** The people whom the simulated provider knows: those of the demo, one whose address it has not checked, and a stranger. */
final class Directory
{
    /** @return array<string, array{name: string, email: string, email_verified: bool}> by subject */
    public static function people(): array
    {
        $people = [];
        foreach (['Mira Okafor', 'Jonas Weir', 'Tomas Lind', 'Helen Marsh', 'Ivo Tanner', 'Vera Stone', 'Karl Ode'] as $name) {
            $login = strtolower(str_replace(' ', '.', $name));
            $people["q-{$login}"] = ['name' => $name, 'email' => "{$login}@quillback.example", 'email_verified' => true];
        }

        return $people + [
            'q-unchecked' => ['name' => 'Petra Quist', 'email' => 'petra.quist@quillback.example', 'email_verified' => false],
            'x-stranger' => ['name' => 'Sam Hollow', 'email' => 'sam@elsewhere.example', 'email_verified' => true],
        ];
    }
}
