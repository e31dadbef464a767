<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Revision;

use Orthotaxis\Core\Refusal;

/**
 * The order in which the codes of revisions follow one another.
 *
 * Letters leave out I, O, Q, S, X and Z, which are misread on a drawing (ASME Y14.35); after Y comes AA. Where numbers go
 * before letters, what is worked on before the first release is counted, and releases are lettered.
 */
enum Sequence: string
{
    case Letters = 'letters';
    case Numbers = 'numbers';
    case NumbersThenLetters = 'numbers_then_letters';

    private const LETTERS = 'ABCDEFGHJKLMNPRTUVWY';

    public function first(): string
    {
        return match ($this) {
            self::Letters, self::NumbersThenLetters => 'A',
            self::Numbers => '1',
        };
    }

    /** @throws Refusal when the code is not of this sequence */
    public function after(string $code): string
    {
        return match ($this) {
            self::Letters, self::NumbersThenLetters => self::letterAfter($code),
            self::Numbers => preg_match('/^[1-9]\d{0,8}$/D', $code) === 1
                ? (string) ((int) $code + 1)
                : throw self::foreign($code, 'numbers'),
        };
    }

    /** The code that follows a released revision, or the first one where nothing has been released. */
    public function next(?string $released): string
    {
        return $released === null ? $this->first() : $this->after($released);
    }

    /**
     * What saved work on the coming revision is called until it is released: C.1, C.2 …
     *
     * @param  int  $iteration  from 1
     */
    public function working(?string $released, int $iteration): string
    {
        return $released === null && $this === self::NumbersThenLetters ? (string) $iteration : "{$this->next($released)}.{$iteration}";
    }

    private static function letterAfter(string $code): string
    {
        if ($code === '' || strspn($code, self::LETTERS) !== strlen($code)) {
            throw self::foreign($code, 'letters');
        }
        $last = strlen(self::LETTERS) - 1;
        for ($i = strlen($code) - 1; $i >= 0; $i--) {
            $place = (int) strpos(self::LETTERS, $code[$i]);
            if ($place < $last) {
                $code[$i] = self::LETTERS[$place + 1];

                return $code;
            }
            $code[$i] = 'A';
        }

        return 'A' . $code;
    }

    private static function foreign(string $code, string $sequence): Refusal
    {
        return Refusal::at('revision', "Revision \"{$code}\" does not belong to the sequence of {$sequence}.");
    }
}
