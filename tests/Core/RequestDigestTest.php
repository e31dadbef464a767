<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\RequestDigest;

const ASKED_FOR = ['title' => 'Fuse rated too high', 'finding' => 'Change the fuse.', 'proposal' => ''];

const NAMED_IN = ['items' => ['400-0001', '400-0007'], 'reports' => ['PR-00031'], 'answers' => []];

it('is the same for the same request, in whatever order it is told', function (): void {
    $one = RequestDigest::of(ASKED_FOR, NAMED_IN);
    $other = RequestDigest::of(array_reverse(ASKED_FOR), array_reverse(['items' => ['400-0007', '400-0001', '400-0001']] + NAMED_IN));

    expect($other)->toBe($one)->and($one)->toMatch('/^1:[0-9a-f]{64}$/');
});

it('is another when anything of it is another', function (string $place, string|array $value): void {
    $said = is_string($value) ? [$place => $value] + ASKED_FOR : ASKED_FOR;
    $named = is_array($value) ? [$place => $value] + NAMED_IN : NAMED_IN;

    expect(RequestDigest::of($said, $named))->not->toBe(RequestDigest::of(ASKED_FOR, NAMED_IN));
})->with([
    'its title' => ['title', 'Fuse rated too low'],
    'a space at the end of the finding' => ['finding', 'Change the fuse. '],
    'what it proposes' => ['proposal', '3:' . str_repeat('0', 64)],
    'an item less' => ['items', ['400-0001']],
    'an item more' => ['items', ['400-0001', '400-0007', '400-0009']],
    'another report' => ['reports', ['PR-00032']],
    'an answer' => ['answers', ['7 answered Which fuse? 2 A']],
]);

it('does not take what is said in one place for what is said in another', function (): void {
    $moved = ['items' => ['400-0001'], 'reports' => ['PR-00031', '400-0007'], 'answers' => []];

    expect(RequestDigest::of(ASKED_FOR, $moved))->not->toBe(RequestDigest::of(ASKED_FOR, NAMED_IN));
});
