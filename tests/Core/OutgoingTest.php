<?php

declare(strict_types=1);

use Orthotaxis\Core\Outgoing\EventChoice;
use Orthotaxis\Core\Outgoing\Retries;
use Orthotaxis\Core\Outgoing\WebhookSignature;
use Orthotaxis\Core\Refusal;

describe('what is signed', function (): void {
    it('is signed as the specification has it', function (): void {
        // The example of the specification.
        $secret = 'whsec_MfKQ9r8GKYqrTwjUPD8ILPZIo2LaLaSw';
        $body = '{"test": 2432232314}';
        expect(WebhookSignature::of([$secret], 'msg_p5jXN8AQM9LWM0D4loKWxJek', 1_614_265_330, $body))->toBe(
            'v1,g0hM9SsE+OTPJTGt/tmIKtSyZlE3uFJELVlNIOLJ1OE=',
        );
    });

    it('is signed with the old secret too while the new one is being put in place', function (): void {
        $both = WebhookSignature::of([WebhookSignature::secret('a'), WebhookSignature::secret('b')], '1', 2, '{}');
        expect(explode(' ', $both))->toBe([
            WebhookSignature::of([WebhookSignature::secret('a')], '1', 2, '{}'),
            WebhookSignature::of([WebhookSignature::secret('b')], '1', 2, '{}'),
        ]);
    });

    it('has another signature with another id, moment, body or secret', function (): void {
        $one = static fn(string $id, int $moment, string $body, string $secret): string => WebhookSignature::of(
            [WebhookSignature::secret($secret)],
            $id,
            $moment,
            $body,
        );
        expect(
            array_unique([
                $one('1', 2, '{}', 'a'),
                $one('2', 2, '{}', 'a'),
                $one('1', 3, '{}', 'a'),
                $one('1', 2, '[]', 'a'),
                $one('1', 2, '{}', 'b'),
            ]),
        )->toHaveCount(5);
    });
});

describe('what did not arrive', function (): void {
    it('is tried again after longer and longer pauses, and then given up', function (): void {
        $retries = new Retries([10, 60, 300]);
        expect(array_map($retries->pauseAfter(...), [1, 2, 3, 4]))->toBe([10, 60, 300, null]);
    });

    it('is not tried again where it is not wanted', function (int $status, bool $isRefusal): void {
        expect(Retries::isRefusal($status))->toBe($isRefusal);
    })->with([
        [400, true],
        [401, true],
        [404, true],
        [410, true],
        [422, true],
        [408, false],
        [425, false],
        [429, false],
        [500, false],
        [503, false],
        [302, false],
    ]);
});

describe('which events are told', function (): void {
    $known = ['order' => ['released', 'signed'], 'task' => ['done']];

    it('are single ones, and all of a kind with those that come to it later', function () use ($known): void {
        $choice = EventChoice::of(['task.*', 'order.released'], $known);
        expect(array_map($choice->has(...), ['order.released', 'order.signed', 'task.done', 'task.new', 'tasks.done']))->toBe([
            true,
            false,
            true,
            true,
            false,
        ]);
    });

    it('are kept once and in order', function () use ($known): void {
        expect(EventChoice::of(['task.done', 'order.signed', 'order.*', 'task.done', 'order.released'], $known)->chosen)->toBe([
            'order.*',
            'task.done',
        ]);
    });

    it('are known', function (array $chosen, string $reason) use ($known): void {
        expect(fn() => EventChoice::of($chosen, $known))->toThrow(Refusal::class, $reason);
    })->with([
        [[], 'Choose at least one event.'],
        [['order.gone'], 'There is no event order.gone.'],
        [['person.*'], 'There is no event person.*.'],
        [['order'], 'There is no event order.'],
        [['*'], 'There is no event *.'],
    ]);
});
