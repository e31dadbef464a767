<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Comparison;

/**
 * The lines of one parent on both sides, sorted out without reading them: by identity, then by saying the same. Whole
 * columns are matched at once, which is what makes it quick.
 */
final readonly class LineMatch
{
    /** How many lines say the same on both sides. */
    public int $same;

    /** @var list<array{int, int}> the components of lines that say the same, where that is asked for */
    public array $components;

    /** @var array<int, int> line => component: differs, or has no counterpart yet */
    public array $left;

    /** @var array<int, int> */
    public array $right;

    public function __construct(LineSet $left, LineSet $right, bool $wantComponents)
    {
        $same = 0;
        $components = [];
        $leftAt = array_flip($left->identities);
        $rightAt = array_flip($right->identities);
        $both = array_intersect_key($leftAt, $rightAt);
        if ($both !== []) {
            foreach ($both as $identity => $at) {
                $there = $rightAt[$identity];
                if ($left->digests[$at] === $right->digests[$there]) {
                    $same++;
                    if ($wantComponents) {
                        $components[] = [$left->components[$at], $right->components[$there]];
                    }
                    unset($leftAt[$identity], $rightAt[$identity]);
                }
            }
        }
        // Nearly all parents of two large structures read alike, line by line.
        if ($both === [] && $left->digests === $right->digests) {
            $this->same = count($left->digests);
            $this->components = $wantComponents
                ? array_map(static fn(int $a, int $b): array => [$a, $b], $left->components, $right->components)
                : [];
            $this->left = $this->right = [];

            return;
        }
        // Lines that stand twice word for word are left to be read: a digest finds one of them.
        $leftBy = self::byDigest(array_diff_key($leftAt, $both), $left);
        $rightBy = self::byDigest(array_diff_key($rightAt, $both), $right);
        $twins = array_intersect_key($leftBy, $rightBy);
        $same += count($twins);
        $leftGone = $rightGone = [];
        foreach ($twins as $digest => $at) {
            $there = $rightBy[$digest];
            $leftGone[$left->identities[$at]] = $rightGone[$right->identities[$there]] = true;
            if ($wantComponents) {
                $components[] = [$left->components[$at], $right->components[$there]];
            }
        }
        $this->same = $same;
        $this->components = $components;
        $this->left = self::rest(array_diff_key($leftAt, $leftGone), $left);
        $this->right = self::rest(array_diff_key($rightAt, $rightGone), $right);
    }

    /**
     * @param  array<int, int>  $at  identity => index
     * @return array<int, int> digest => index
     */
    private static function byDigest(array $at, LineSet $lines): array
    {
        return count($at) === count($lines->digests)
            ? array_flip($lines->digests)
            : array_flip(array_intersect_key($lines->digests, array_flip($at)));
    }

    /**
     * @param  array<int, int>  $at
     * @return array<int, int> line => component
     */
    private static function rest(array $at, LineSet $lines): array
    {
        $rest = [];
        foreach ($at as $index) {
            $rest[$lines->ids[$index]] = $lines->components[$index];
        }

        return $rest;
    }
}
