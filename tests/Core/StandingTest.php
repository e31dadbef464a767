<?php

declare(strict_types=1);

use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Assessment\Standing;
use Orthotaxis\Core\Calendar\Day;

it('sums up what a function was asked about an item', function (array $states, Standing $expected): void {
    $days = ['late' => '2027-02-28', 'today' => '2027-03-01', 'later' => '2027-03-02'];
    $questions = array_map(static fn(array $one): array => [$one[0], Day::parse($days[$one[1]])], $states);
    expect(Standing::of($questions, Day::parse('2027-03-01')))
        ->toBe($expected)
        ->and(Standing::of(array_reverse($questions), Day::parse('2027-03-01')))
        ->toBe($expected);
})->with([
    'nothing' => [[], Standing::NotAsked],
    'withdrawn' => [[[QuestionState::Withdrawn, 'late']], Standing::NotAsked],
    'due today' => [[[QuestionState::Waiting, 'today']], Standing::Waiting],
    'due yesterday' => [[[QuestionState::Waiting, 'late']], Standing::Overdue],
    'one late, one in time' => [[[QuestionState::Waiting, 'later'], [QuestionState::Waiting, 'late']], Standing::Overdue],
    'one answered, one waits' => [[[QuestionState::Answered, 'late'], [QuestionState::Waiting, 'later']], Standing::Waiting],
    'answered late' => [[[QuestionState::Answered, 'late']], Standing::Answered],
    'one has no effect' => [[[QuestionState::Answered, 'late'], [QuestionState::NoEffect, 'late']], Standing::Answered],
    'no effect at all' => [[[QuestionState::NoEffect, 'late'], [QuestionState::Withdrawn, 'late']], Standing::NoEffect],
]);
