@php
    $day = static fn (?string $iso): string => $iso === null ? 'not set' : \Orthotaxis\Core\Calendar\Day::parse($iso)->spelled();
    $moment = static fn (string $iso): string => \Carbon\CarbonImmutable::parse($iso)->setTimezone(config('app.timezone'))->format('j M Y, H:i');
    $dispositions = ['use_up' => 'Use up', 'rework' => 'Rework', 'scrap' => 'Scrap', 'return' => 'Return to supplier', 'hold' => 'Hold'];
    $outcomes = ['revise' => 'New revision', 'build' => 'Manufacturing only', 'data' => 'Item data only', 'keep' => 'No change'];
    $actions = ['add' => '+ added', 'remove' => '− removed', 'replace' => '⇄ replaced', 'change' => '~ changed', 'keep' => ''];
    $kinds = ['engineering' => 'Engineering structure', 'manufacturing' => 'Manufacturing', 'item_data' => 'Item data'];
    $or = static fn (?string $text): string => $text === null || $text === '' ? '–' : $text;
@endphp
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ $notice->number }} {{ $notice->title }}</title>
<style>
@page { margin: 16mm 14mm 18mm }
body { font-size: 9pt; color: #111; max-width: 190mm; margin: 0 auto; font-family: "DejaVu Sans", sans-serif }
h1 { font-size: 15pt; margin: 0 0 1mm } h2 { font-size: 11pt; margin: 6mm 0 1.5mm; border-bottom: 0.4mm solid #000 } h3 { font-size: 9.5pt; margin: 4mm 0 1mm }
p { margin: 0 0 1.5mm; white-space: pre-line } .soft { color: #444 } .digest { font-size: 6.5pt; word-wrap: break-word }
table { width: 100%; border-collapse: collapse; margin: 1mm 0 2mm } tr { page-break-inside: avoid }
th, td { text-align: left; vertical-align: top; padding: 0.8mm 1.5mm 0.8mm 0; border-bottom: 0.2mm solid #999 } th { border-bottom: 0.4mm solid #000 }
td.was { text-decoration: line-through; color: #444 } td.none { text-decoration: none } img { width: 100%; border: 0.2mm solid #999 }
.sheet { page-break-inside: avoid }
</style>
</head>
<body>
<h1>{{ $notice->number }} {{ $notice->title }}</h1>
<p class="soft">Engineering change notice of order {{ $notice->order }}</p>
<table>
<tr><th scope="row">Effective from</th><td>{{ $day($notice->effective_on) }}</td><th scope="row">Priority</th><td>{{ ucfirst($notice->priority) }}</td></tr>
<tr><th scope="row">Released</th><td>{{ $moment($notice->released_at) }}</td><th scope="row">Released by</th><td>{{ $notice->released_by }}</td></tr>
</table>
@if ($notice->description !== '')
<p>{{ $notice->description }}</p>
@endif
@if ($notice->reasons !== [])
<h2>Reason</h2>
@foreach ($notice->reasons as $one)
<p><b>{{ $one->request }}</b> {{ $one->reason }}: {{ $one->description }}</p>
@if ($one->finding !== '')
<p>Finding: {{ $one->finding }}</p>
@endif
@endforeach
@endif
<h2>Items</h2>
<table>
<thead><tr><th>Item</th><th>Title</th><th>Outcome</th><th>Was</th><th>Becomes</th><th>Disposition of stock</th></tr></thead>
<tbody>
@foreach ($notice->items as $one)
<tr><td>{{ $one->number }}</td><td>{{ $one->title }}</td><td>{{ $outcomes[$one->outcome] ?? $one->outcome }}</td><td>{{ $or($one->was) }}</td><td>{{ $or($one->becomes) }}</td><td>{{ $or($dispositions[$one->disposition ?? ''] ?? '') }}</td></tr>
@endforeach
</tbody>
</table>
<h2>Before and after</h2>
@forelse ($notice->subjects as $one)
<h3>{{ $one->item }} {{ $one->title }}, {{ lcfirst($kinds[$one->kind] ?? $one->kind) }}{{ $one->plant === '' ? '' : " at {$one->plant}" }}: {{ $one->was === null ? 'first revision' : $one->was . ' →' }} {{ $one->becomes }}</h3>
@if ($one->parts === [])
<p class="soft">No line differs.</p>
@else
<table>
<thead><tr><th>What</th><th>Field</th><th>Before</th><th>After</th></tr></thead>
<tbody>
@foreach ($one->parts as $part)
@foreach ($part->fields as $at => $field)
<tr><td>@if ($at === 0){{ $actions[$part->action] ?? '' }} {{ $part->called }}@endif</td><td>{{ $field->name }}</td><td class="was{{ $field->before === '' ? ' none' : '' }}">{{ $or($field->before) }}</td><td>{{ $or($field->after) }}</td></tr>
@endforeach
@endforeach
</tbody>
</table>
@endif
@empty
<p class="soft">Nothing of a structure differs.</p>
@endforelse
@if ($notice->later !== [])
<h2>Plants that follow later</h2>
<table>
<thead><tr><th>Item</th><th>Plant</th><th>Under order</th><th>By</th><th>Reason</th></tr></thead>
<tbody>
@foreach ($notice->later as $one)
<tr><td>{{ $one->item }}</td><td>{{ $one->plant }}</td><td>{{ $one->order }}</td><td>{{ $day($one->by) }}</td><td>{{ $one->reason }}</td></tr>
@endforeach
</tbody>
</table>
@endif
@if ($notice->products !== [])
<h2>End products</h2>
<p>{{ implode(', ', $notice->products) }}</p>
@endif
@if ($notice->waivers !== [])
<h2>Checks that were waived</h2>
@foreach ($notice->waivers as $one)
<p>{{ $one->fault }} Waived by {{ $one->by }}, {{ $moment($one->at) }}: {{ $one->reason }}</p>
@endforeach
@endif
<h2>Signatures</h2>
<table>
<thead><tr><th>Signed by</th><th>As</th><th>On</th><th>Digest of what was signed</th></tr></thead>
<tbody>
@forelse ($notice->signatures as $one)
<tr><td>{{ $one->person }}{{ $one->for === null ? '' : ", for {$one->for}" }}</td><td>{{ ucfirst($one->said) }}</td><td>{{ $moment($one->at) }}</td><td class="digest">{{ $one->digest }}</td></tr>
@empty
<tr><td colspan="4">None on record.</td></tr>
@endforelse
</tbody>
</table>
@if ($notice->sheets !== [])
<h2>Sheets</h2>
@foreach ($notice->sheets as $one)
<div class="sheet">
<h3>{{ $one->item }} {{ $one->title }}, revision {{ $one->revision }}: {{ $one->name }}</h3>
@if (isset($pictures[$one->file]))
<img src="{{ $pictures[$one->file] }}" alt="Sheet {{ $one->name }} of {{ $one->item }}, revision {{ $one->revision }}">
@endif
<p class="digest soft">SHA-256 {{ $one->sha256 }}</p>
</div>
@endforeach
@endif
<p class="digest soft">SHA-256 of the JSON of this notice: {{ $sha256 }}</p>
</body>
</html>
