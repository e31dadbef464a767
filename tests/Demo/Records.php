<?php

declare(strict_types=1);

namespace Tests\Demo;

use App\Imports\Models\Import;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Form\FormState;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Task\TaskState;

/** The records of the demo, and the addresses of the API at which they are read. */
final class Records
{
    /** Sheets with one that was there before. */
    private const OLDER = "JOIN item_files b ON b.item_id = t.item_id AND b.role = 'sheet' AND t.role = 'sheet' AND b.brought_at < t.brought_at";

    /** @var array<string, list<string>> */
    private array $kept = [];

    /**
     * @param  bool  $everyState  one record of each kind in each state, in place of all
     * @return array<string, list<string>> addresses by route
     */
    public function addresses(bool $everyState = false): array
    {
        $of = fn(string $kind): array => $everyState ? $this->oneOfEachState($kind) : $this->all($kind);
        $each = static fn(array $records, string ...$addresses): array => array_merge(
            ...array_map(
                static fn(string $record): array => array_map(
                    static fn(string $address): string => '/api/' . str_replace('@', rawurlencode($record), $address),
                    $addresses,
                ),
                [...$records, ...[]],
            ) ?: [[]],
        );
        $pairs = static fn(array $rows, string ...$addresses): array => array_merge(
            ...array_map(
                static fn(string $pair): array => array_map(
                    static fn(string $address): string => '/api/' . self::named($address, $pair),
                    $addresses,
                ),
                $rows,
            ) ?: [[]],
        );
        $items = $of('item');
        $few = array_slice($items, 0, 40);
        $requests = $of('request');
        $plant = (string) DB::table('contents')->where('kind', 'manufacturing')->value('plant');

        return [
            'api/session' => ['/api/session'],
            'api/people' => ['/api/people'],
            'api/ledger' => [
                '/api/ledger',
                '/api/ledger?about=200-0040',
                '/api/ledger?act=order.&actor=mira.okafor&words=pump',
                '/api/ledger?since=2026-11-01&until=2026-11-20',
            ],
            'api/ledger/export' => ['/api/ledger/export?since=2026-11-01'],
            'api/ledger/checker' => ['/api/ledger/checker'],
            'api/session/second-factor' => ['/api/session/second-factor'],
            'api/session/sign-ins' => ['/api/session/sign-ins'],
            'api/session/tokens' => ['/api/session/tokens'],
            'api/accounts/{login}/safety' => ['/api/accounts/mira.okafor/safety', '/api/accounts/karl.ode/safety'],
            'api/groups' => ['/api/groups'],
            'api/separation' => ['/api/separation'],
            'api/roles' => ['/api/roles'],
            'api/abilities' => ['/api/abilities'],
            'api/accounts' => ['/api/accounts'],
            'api/absences' => ['/api/absences'],
            'api/responsible' => ['/api/responsible'],
            'api/approval-paths' => ['/api/approval-paths'],
            'api/changes/{number}/tasks' => $each([...$requests, ...$of('order')], 'changes/@/tasks'),
            'api/changes/{number}/watch' => $each([...$of('report'), ...$requests, ...$of('order')], 'changes/@/watch'),
            'api/discussions/{number}' => $each([...$of('report'), ...$requests, ...$of('order'), ...$few], 'discussions/@'),
            'api/calendar' => ['/api/calendar'],
            'api/orders/{number}/notice' => $each($of('order'), 'orders/@/notice'),
            'api/change-notices/{number}' => $each($this->all('change notice'), 'change-notices/@'),
            'api/change-notices/{number}/{format}' => $each(
                $this->all('change notice'),
                'change-notices/@/json',
                'change-notices/@/html',
                'change-notices/@/pdf',
            ),
            'api/distribution-lists' => ['/api/distribution-lists'],
            'api/notices' => ['/api/notices', '/api/notices?unread=1', '/api/notices?change=ECO-00085&from=1'],
            'api/notices/unread' => ['/api/notices/unread'],
            'api/notices/paces' => ['/api/notices/paces'],
            'api/tasks/{number}' => $each($of('task'), 'tasks/@'),
            'api/tasks/{number}/edits' => $each($of('task'), 'tasks/@/edits'),
            'api/favourites' => ['/api/favourites'],
            'api/desk' => ['/api/desk'],
            'api/meeting' => ['/api/meeting'],
            'api/cut-in-outcomes' => ['/api/cut-in-outcomes', '/api/cut-in-outcomes?year=2025'],
            'api/items' => [
                '/api/items',
                '/api/items?words=tube&sort=-cost',
                '/api/items?words=zzzz',
                '/api/items?status=being_revised',
                '/api/items?from=300',
            ],
            'api/item-number' => $each($this->all('category'), 'item-number?category=@'),
            'api/categories' => ['/api/categories'],
            'api/choices' => ['/api/choices'],
            'api/kinds' => ['/api/kinds'],
            'api/plants' => ['/api/plants'],
            'api/items/{number}' => $each($items, 'items/@'),
            'api/items/{number}/structure' => [
                ...$each($items, 'items/@/structure?levels=3'),
                ...$each(
                    $few,
                    'items/@/structure?kind=manufacturing',
                    "items/@/structure?kind=manufacturing&plant={$plant}",
                    'items/@/structure?kind=design',
                    'items/@/structure?levels=30&orders=open',
                    'items/@/structure?time=any',
                ),
            ],
            'api/items/{number}/where-used' => [
                ...$each($items, 'items/@/where-used', 'items/@/where-used?only=direct'),
                ...$each($few, 'items/@/where-used?only=tops&kind=manufacturing'),
            ],
            'api/items/{number}/summary' => $each($items, 'items/@/summary'),
            'api/items/{number}/structure/{format}' => $each(
                $few,
                'items/@/structure/csv',
                'items/@/structure/xlsx',
                'items/@/structure/json',
                'items/@/structure/pdf?levels=one',
            ),
            'api/items/{number}/built-cost' => $each($items, 'items/@/built-cost', 'items/@/built-cost?plant=Weir'),
            'api/items/{number}/operations' => $each($items, 'items/@/operations'),
            'api/plants/{code}/work-centres/{centre}/operations' => ['/api/plants/Weir/work-centres/PUMP/operations'],
            'api/items/{number}/built/{format}' => $each(
                $few,
                'items/@/built/csv',
                'items/@/built/xlsx?plant=Weir',
                'items/@/built/json?levels=one',
            ),
            'api/items/{number}/routing' => $each($items, 'items/@/routing'),
            'api/items/{number}/data' => $each($items, 'items/@/data'),
            'api/items/{number}/accountability' => [
                ...$each($items, 'items/@/accountability'),
                ...$each($few, "items/@/accountability?plant={$plant}"),
                ...$pairs($of('revised item'), 'items/@item/accountability?order=@order'),
            ],
            'api/items/{number}/documents' => $each($items, 'items/@/documents'),
            'api/items/{number}/older-uses' => $each($items, 'items/@/older-uses'),
            'api/items/{number}/planned-uses' => $each($items, 'items/@/planned-uses'),
            'api/files/{id}' => $each(array_slice($this->all('file'), 0, $everyState ? 4 : 500), 'files/@'),
            'api/comparison' => $each(array_slice($items, 0, 60), 'comparison?left=@&right=200-0010'),
            'api/comparison/{format}' => $each(
                array_slice($items, 0, 6),
                'comparison/csv?left=@&right=200-0010',
                'comparison/pdf?left=@&right=200-0010',
            ),
            'api/exposure' => $each(array_slice($items, 0, 60), 'exposure?items=@'),
            'api/catalogue/{format}' => ['/api/catalogue/csv', '/api/catalogue/xlsx?supply=buy', '/api/catalogue/json'],
            // Kept for a day, for whoever asked: tests/Feature/ReadingTest reads it.
            'api/readings/{id}' => [],
            'api/imports' => ['/api/imports'],
            'api/imports/{id}' => $each($of('import'), 'imports/@'),
            'api/imports/{id}/marked' => $each($this->all('refused import'), 'imports/@/marked'),
            'api/changes' => [
                '/api/changes?show=all',
                '/api/changes?step=take_in,assess&priority=critical',
                '/api/changes?waits_for=helen.marsh&sort=-effective',
                '/api/changes?show=closed&from=50',
                '/api/changes?mine=waiting',
                '/api/changes?mine=part&show=closed',
                '/api/changes?mine=watching',
            ],
            'api/changes/{number}/references' => $each([...$requests, ...$of('order'), ...$of('report')], 'changes/@/references'),
            'api/relations/{number}' => $each(
                [...$requests, ...array_diff($of('order'), $requests), ...$of('report'), ...$few],
                'relations/@',
            ),
            'api/dossiers/{number}' => $each([...$requests, ...$of('order')], 'dossiers/@'),
            'api/reports-like' => ['/api/reports-like?title=pump+tube+torn&items=200-0040'],
            'api/reports' => ['/api/reports?show=all', '/api/reports?show=settled&sort=severity'],
            'api/reports/{number}' => $each($of('report'), 'reports/@'),
            'api/files/{id}/stamped' => $each(array_slice($this->all('file'), 0, $everyState ? 2 : 8), 'files/@/stamped?language=de'),
            'api/files/{id}/parts-list' => $each(array_slice($this->all('file'), 0, $everyState ? 4 : 60), 'files/@/parts-list'),
            'api/files/{id}/marks' => $each(array_slice($this->all('file'), 0, $everyState ? 4 : 80), 'files/@/marks'),
            'api/files/{id}/thumbnail' => $each(array_slice($this->all('file'), 0, $everyState ? 2 : 8), 'files/@/thumbnail'),
            'api/files/{id}/page' => $each(array_slice($this->all('file'), 0, $everyState ? 2 : 8), 'files/@/page?width=200'),
            'api/files/{id}/against/{after}' => array_map(
                static fn(string $pair): string => "/api/files/{$pair}",
                $this->all('two sheets'),
            ),
            'api/orders/{number}/sheets' => $each($of('order'), 'orders/@/sheets'),
            'api/files/{id}/address' => $each(array_slice($this->all('file'), 0, 4), 'files/@/address'),
            'api/orders/{number}/packages' => $each($of('order'), 'orders/@/packages'),
            'api/orders/{number}/packages/{id}/file' => array_map(
                static fn(string $path): string => "/api/orders/{$path}/file",
                $this->all('package'),
            ),
            'api/said-files/{id}' => $each($this->all('said file'), 'said-files/@'),
            'api/change-files/{id}' => $each($this->all('change file'), 'change-files/@'),
            'api/requests/{number}/cut-in' => $each($requests, 'requests/@/cut-in'),
            'api/requests/{number}/cut-ins' => $each($requests, 'requests/@/cut-ins'),
            'api/requests/{number}/cut-ins/{id}/calendar' => array_map(
                static fn(string $chosen): string => "/api/requests/{$chosen}/calendar",
                $this->all('chosen day'),
            ),
            'api/requests/{number}/reach' => $each($requests, 'requests/@/reach', 'requests/@/reach?reason=parent&decided=1'),
            'api/requests/{number}/reach-picture' => $each($requests, 'requests/@/reach-picture'),
            'api/requests/{number}/forms' => $each($requests, 'requests/@/forms'),
            'api/requests/{number}/questions' => $each($requests, 'requests/@/questions'),
            'api/requests/{number}/money' => $each($requests, 'requests/@/money'),
            'api/form-templates' => ['/api/form-templates'],
            'api/form-templates/blank' => ['/api/form-templates/blank'],
            'api/form-templates/{id}/file' => $each($this->all('form template'), 'form-templates/@/file'),
            'api/forms/{number}/file' => $each($of('form'), 'forms/@/file'),
            'api/orders/{number}/review' => $each($of('order'), 'orders/@/review'),
            'api/routing-comparison' => $each(
                $few,
                'routing-comparison?left=@&right=@&left_kind=manufacturing&right_kind=manufacturing&left_plant=Tarn&right_plant=Weir',
            ),
            'api/orders/{number}/accountability' => $each($of('order'), 'orders/@/accountability'),
            'api/orders/{number}/data' => $each($of('order'), 'orders/@/data'),
            'api/orders/{number}/items/{item}/data' => $pairs($of('changing item'), 'orders/@order/items/@item/data'),
            'api/orders/{number}/consequences' => $each($of('order'), 'orders/@/consequences'),
            'api/orders/{number}/worksheet/{format}' => $each($this->all('revising order'), 'orders/@/worksheet/csv'),
            // Kept only of what somebody has brought back: tests/Feature/OrderSheetTest reads it.
            'api/orders/{number}/sheets/{sheet}/marked' => [],
            'api/order-sheet/{format}' => ['/api/order-sheet/csv', '/api/order-sheet/xlsx', '/api/order-sheet/json'],
            'api/order-sheet/marked/{sheet}' => [],
            'api/orders/{number}/worksheet' => $each($of('order'), 'orders/@/worksheet'),
            'api/orders/{number}/pulled-items' => $each(
                $of('order'),
                'orders/@/pulled-items?item=200-0010&way=above',
                'orders/@/pulled-items?item=200-0010&way=below',
                'orders/@/pulled-items?item=200-0010&way=documents',
                'orders/@/pulled-items?item=200-0010&way=category',
                'orders/@/pulled-items?item=200-0010&way=range&to=230-0001',
            ),
            'api/orders/{number}/at-work' => $each($of('order'), 'orders/@/at-work'),
            'api/orders/{number}/new-numbers' => $each($of('order'), 'orders/@/new-numbers'),
            'api/orders/{number}/belongings' => $each($of('order'), 'orders/@/belongings'),
            'api/orders/{number}/old-documents' => $each(
                $of('order'),
                'orders/@/old-documents',
                'orders/@/old-documents?state=all&kind=stock',
            ),
            'api/events' => ['/api/events'],
            'api/webhooks' => ['/api/webhooks'],
            'api/hand-over-profiles' => ['/api/hand-over-profiles'],
            'api/past-hand-overs' => ['/api/past-hand-overs', '/api/past-hand-overs?words=ECO-00082+pump'],
            'api/channels/{code}/deliveries' => $each(
                $this->all('channel'),
                'channels/@/deliveries',
                'channels/@/deliveries?state=given_up',
            ),
            'api/deliveries/{id}' => $each($of('delivery'), 'deliveries/@'),
            'api/hand-overs' => ['hand-overs'],
            'api/hand-overs/differences' => [
                'hand-overs/differences',
                'hand-overs/differences?order=ECO-00082',
                'hand-overs/differences?mover=there&item=230-0001',
            ],
            'api/orders/{number}/dependences' => $each($of('order'), 'orders/@/dependences'),
            'api/orders/{number}/transfer' => $each($of('order'), 'orders/@/transfer'),
            'api/orders/{number}/replacement' => $each(
                $of('order'),
                'orders/@/replacement?old=230-0020&new=230-0021',
                'orders/@/replacement?old=200-0040',
            ),
            'api/orders/{number}/items/{item}/redline' => $pairs($of('revised item'), 'orders/@order/items/@item/redline'),
            'api/orders/{number}/items/{item}/sheet/{format}' => $pairs($of('revised item'), 'orders/@order/items/@item/sheet/csv'),
            'api/orders/{number}/items/{item}/works/{work}/newer' => $pairs(
                $of('revised item'),
                'orders/@order/items/@item/works/engineering/newer',
            ),
            'api/orders/{number}/items/{item}/plants/{plant}/sheet/{format}' => $pairs(
                $of('built item'),
                'orders/@order/items/@item/plants/@plant/sheet/csv',
            ),
            'api/orders/{number}/items/{item}/plants/{plant}/redline' => $pairs(
                $of('built item'),
                'orders/@order/items/@item/plants/@plant/redline',
            ),
            'api/handovers/{name}/files/{format}' => $each(
                $of('hand-over'),
                'handovers/@/files/xml',
                'handovers/@/files/csv',
                'handovers/@/files/json',
            ),
        ];
    }

    /**
     * @param  string  $kind  of record, or others
     * @return list<string> paths of the pages in the browser, of one record of the kind in each state
     */
    public function pages(string $kind): array
    {
        $of = fn(string ...$paths): array => array_merge(
            ...array_map(
                static fn(string $record): array => array_map(
                    static fn(string $path): string => str_replace('@', $record, self::named($path, $record)),
                    $paths,
                ),
                $this->oneOfEachState($kind),
            ),
        );

        return match ($kind) {
            'item' => [
                ...$of('/items/@', '/items/@?view=summed', '/items/@?kind=manufacturing&view=accounted'),
                '/items/800-0041/sheet',
                '/items/820-0001/sheet',
                '/items/800-0011/mark-up',
            ],
            'two sheets of an item' => $of('/items/@', '/items/@&view=side&place=1', '/items/@&view=differences'),
            'report' => $of('/reports/@', '/relations/@'),
            'task' => $of('/tasks/@'),
            'change notice' => $of('/change-notices/@'),
            'request' => $of(
                '/changes/@',
                '/changes/@/decision',
                '/changes/@/forms',
                '/changes/@/money',
                '/changes/@/reach',
                '/changes/@/reach?as=picture',
                '/changes/@/cut-in',
            ),
            'order' => $of(
                '/changes/@',
                '/orders/@/review',
                '/orders/@/documents',
                '/orders/@/worksheet',
                '/orders/@/transfer',
                '/orders/@/model',
                '/orders/@/replace?old=230-0020&new=230-0021:2',
            ),
            'revised item' => $of('/orders/@order/revise/@item'),
            'changing item' => $of('/orders/@order/data/@item'),
            'built item' => $of('/orders/@order/build/@item/@plant'),
            default => [
                '/',
                '/register?show=all',
                '/register?sort=-priority',
                '/register?mine=waiting',
                '/ledger',
                '/ledger?about=200-0040&act=order.',
                '/items',
                '/items?words=zzzz',
                '/items/new',
                '/import',
                '/reports?show=all',
                '/reports/new',
                '/requests/new',
                '/orders/new',
                '/orders/new?items=200-0040',
                '/meeting',
                '/cut-ins',
                '/hand-overs',
                '/set-up/groups',
                '/set-up/distribution',
                '/set-up/paths',
                '/absences',
                '/account',
                '/notices',
                '/notices?show=all',
                '/compare',
                '/compare?left=210-0100&right=210-0101',
                '/no-such-page',
            ],
        };
    }

    /** @param  string  $record  its order, item and plant, as far as it has them */
    private static function named(string $address, string $record): string
    {
        $parts = array_map(rawurlencode(...), explode(' ', $record));

        return str_replace(array_slice(['@order', '@item', '@plant'], 0, count($parts)), $parts, $address);
    }

    /** @return list<string> "kind state", of all states of which the demo has no record */
    public function missingStates(): array
    {
        $missing = [];
        foreach (
            [
                'report' => ReportState::cases(),
                'request' => RequestState::cases(),
                'order' => OrderState::cases(),
                'revision' => RevisionStatus::cases(),
                'question' => QuestionState::cases(),
                'task' => TaskState::cases(),
                'form' => FormState::cases(),
            ]
            as $kind => $states
        ) {
            foreach (array_diff(array_column($states, 'value'), $this->states($kind)) as $state) {
                $missing[] = "{$kind} {$state}";
            }
        }
        // What is on its way to planning, or being read, is so for seconds only.
        foreach (['hand-over' => ['taken', 'partly_refused', 'refused', 'unanswered'], 'import' => Import::ENDED] as $kind => $states) {
            foreach (array_diff($states, $this->states($kind)) as $state) {
                $missing[] = "{$kind} {$state}";
            }
        }

        return $missing;
    }

    /** @return list<string> */
    private function states(string $kind): array
    {
        [$table, , $state] = self::table($kind);

        return array_map(strval(...), DB::table($table)->distinct()->pluck($state)->all());
    }

    /** @return list<string> */
    private function all(string $kind): array
    {
        [$table, $name, , $where] = self::table($kind);

        return $this->kept[$kind] ??= array_map(
            static fn(\stdClass $row): string => (string) $row->name,
            DB::select("SELECT {$name} AS name FROM {$table} t {$where} ORDER BY 1"),
        );
    }

    /** @return list<string> */
    private function oneOfEachState(string $kind): array
    {
        [$table, $name, $state, $where] = self::table($kind);

        return $this->kept["one {$kind}"] ??= array_map(
            static fn(\stdClass $row): string => (string) $row->name,
            DB::select("SELECT min({$name}) AS name FROM {$table} t {$where} GROUP BY {$state} ORDER BY 1"),
        );
    }

    /** @return array{string, string, string, string} table, what names a record, its state, what else has to hold */
    private static function table(string $kind): array
    {
        $revised = "JOIN change_orders o ON o.id = t.order_id JOIN items i ON i.id = t.item_id WHERE t.outcome = 'revise'";

        return match ($kind) {
            'item' => [
                'items',
                't.number',
                "(t.kind, t.sold, EXISTS (SELECT 1 FROM revisions r WHERE r.item_id = t.id AND r.status = 'released'))",
                '',
            ],
            'category' => ['categories', 't.code', 'code', ''],
            'file' => ['item_files', 't.id::text', 'role', ''],
            'two sheets' => ['item_files', "b.id || '/against/' || t.id", 't.id', self::OLDER],
            'two sheets of an item' => [
                'item_files',
                "i.number || '/sheet/against?before=' || b.id || '&after=' || t.id",
                't.revision_id IS NULL',
                'JOIN items i ON i.id = t.item_id ' . self::OLDER,
            ],
            'revision' => ['revisions', 't.id::text', 'status', ''],
            'report' => ['problem_reports', 't.number', 'state', ''],
            'request' => ['change_requests', 't.number', 'state', ''],
            'order' => ['change_orders', 't.number', 'state', ''],
            'task' => ['tasks', 't.number', 'state', ''],
            'revising order' => ['change_orders', 't.number', 'state', "WHERE t.state = 'revising'"],
            'revised item' => ['change_order_items', "o.number || ' ' || i.number", 'o.state', $revised],
            'changing item' => [
                'change_order_items',
                "o.number || ' ' || i.number",
                '(o.state, t.outcome)',
                str_replace("= 'revise'", "<> 'keep'", $revised),
            ],
            'built item' => [
                'change_order_items',
                "o.number || ' ' || i.number || ' ' || c.plant",
                "o.state || (t.outcome = 'build')::text",
                "JOIN change_orders o ON o.id = t.order_id JOIN items i ON i.id = t.item_id
                    JOIN contents c ON c.item_id = i.id AND c.kind = 'manufacturing' AND c.status = 'released' WHERE t.outcome <> 'keep'",
            ],
            'question' => ['questions', 't.id::text', 'state', ''],
            'change file' => ['change_files', 't.id::text', 'role', ''],
            'said file' => ['said_files', 't.id::text', "''::text", ''],
            'form template' => ['form_templates', 't.id::text', 'active', ''],
            'form' => ['handed_forms', 't.number', 'state', ''],
            'change notice' => ['change_notices', 't.number', "''::text", ''],
            'hand-over' => ['handovers', 't.name', 'state', ''],
            'chosen day' => ['cut_ins', "r.number || '/cut-ins/' || t.id", "''::text", 'JOIN change_requests r ON r.id = t.request_id'],
            'package' => ['release_packages', "o.number || '/packages/' || t.id", 'state', 'JOIN change_orders o ON o.id = t.order_id'],
            'channel' => ['channels', 't.code', 'purpose', ''],
            'delivery' => ['deliveries', 't.id::text', 'state', ''],
            'import' => ['imports', 't.id::text', 'state', ''],
            'refused import' => ['imports', 't.id::text', 'state', "WHERE t.state = 'refused'"],
            default => throw new \InvalidArgumentException($kind),
        };
    }
}
