<?php

declare(strict_types=1);

use App\Discussion\Events\CommentPinned;
use App\Orders\Events\PartEdited;
use App\Orders\Events\PartsEdited;
use App\Problems\Events\ReportSettled;
use App\Reach\Events\ReachDecided;
use App\Releases\Events\HandOverAnswered;
use App\Requests\Events\RequestDecided;
use Illuminate\Support\Str;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\TakeOffRecord;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\SetBatch;
use Symfony\Component\Finder\Finder;

// The acts that the ledger records, and what they tell, read off their events.

/** Kinds of acts about people, rights and the set-up: they never leave the house. */
const NOT_OF_CHANGES = [
    ...['absence', 'category', 'choice', 'delivery', 'distribution_list', 'duties', 'form_template', 'group', 'handover_profile', 'kind'],
    ...['path', 'person', 'plant', 'responsible', 'role', 'token', 'webhook', 'work_centre'],
];

/** @return array<string, list<string>> the names of acts, by the class of their event */
function recordedActs(): array
{
    $acts = [];
    $subject = new Subject(Subject::ENGINEERING, 'I');
    $built = new Subject(Subject::MANUFACTURING, 'I', 'P');
    $app = dirname(__DIR__, 2) . '/app';
    foreach (Finder::create()->files()->name('*.php')->in($app)->path('~/Events/~')->sortByName() as $file) {
        $class = 'App\\' . strtr(substr($file->getRelativePathname(), 0, -strlen('.php')), '/', '\\');
        $acts[$class] = match ($class) {
            ReportSettled::class => array_map(
                static fn(ReportState $state): string => (new ReportSettled('b', 'R', $state, []))->name(),
                array_filter(ReportState::cases(), static fn(ReportState $state): bool => $state !== ReportState::Gathered),
            ),
            RequestDecided::class => array_map(
                static fn(RequestState $state): string => (new RequestDecided('b', 'R', $state, ''))->name(),
                [RequestState::Approved, RequestState::Rejected, RequestState::Returned],
            ),
            PartEdited::class => [
                ...array_merge(
                    ...array_map(
                        static fn(EditOperation $one): array => array_map(
                            static fn(Subject $of): string => (new PartEdited('b', 'O', $of, $one->of('', [])))->name(),
                            [$subject, $built],
                        ),
                        EditOperation::cases(),
                    ),
                ),
                ...array_map(static fn(string $edit): string => PartsEdited::area($built) . '.' . constant("{$edit}::NAME"), [
                    AddOperation::class,
                    ChangeOperation::class,
                    RemoveOperation::class,
                    SetBatch::class,
                    PutOnRecord::class,
                    TakeOffRecord::class,
                ]),
                'item_data.' . SetField::NAME,
            ],
            PartsEdited::class => array_map(static fn(Subject $of): string => (new PartsEdited('b', 'O', $of, [], 1))->name(), [
                $subject,
                $built,
                new Subject(Subject::ITEM_DATA, 'I'),
            ]),
            HandOverAnswered::class => array_map(static fn(string $state): string => (new HandOverAnswered('O', $state, 'H', []))->name(), [
                'taken',
                'partly_refused',
                'refused',
            ]),
            ReachDecided::class => array_map(static fn(?bool $taken): string => (new ReachDecided('b', 'R', $taken, [], ''))->name(), [
                true,
                false,
                null,
            ]),
            CommentPinned::class => array_map(static fn(bool $on): string => (new CommentPinned('b', 'R', '', $on))->name(), [true, false]),
            default => [$class::NAME],
        };
    }

    return $acts;
}

/** The events that other systems can be told of, as a table: name, what happened, and what its details say. */
function listedEvents(): string
{
    preg_match_all(
        "/^  '([a-z_]+\\.[a-z_]+)': '([^']+)'/m",
        (string) file_get_contents(dirname(__DIR__, 2) . '/resources/js/register/acts.ts'),
        $said,
    );
    $words = array_combine($said[1], $said[2]);
    $rows = [];
    foreach (recordedActs() as $class => $names) {
        foreach ($names as $name) {
            if (!in_array(explode('.', $name)[0], NOT_OF_CHANGES, true)) {
                $rows[$name] = sprintf('| `%s` | %s | %s |', $name, $words[$name], implode(', ', detailsOf($class)));
            }
        }
    }
    ksort($rows);

    return "| event | what happened | details |\n|---|---|---|\n" . implode("\n", $rows);
}

/**
 * @param  class-string  $class  of an event
 * @return list<string>
 */
function detailsOf(string $class): array
{
    $said = match ($class) {
        CommentPinned::class => ['text'],
        HandOverAnswered::class => ['hand_over', 'taken', 'refused'],
        PartEdited::class => ['item', 'plant', 'line or part', 'fields'],
        PartsEdited::class => ['item', 'plant', 'edits', 'first', 'last', 'sha256'],
        ReachDecided::class => ['rows', 'reason'],
        ReportSettled::class => ['what was told'],
        RequestDecided::class => ['reason'],
        default => null,
    };
    if ($said !== null) {
        return $said;
    }
    $names = array_map(
        static fn(ReflectionProperty $one): string => $one->getName(),
        (new ReflectionClass($class))->getProperties(ReflectionProperty::IS_PUBLIC),
    );

    return array_values(array_map(Str::snake(...), array_diff($names, ['by', 'of'])));
}
