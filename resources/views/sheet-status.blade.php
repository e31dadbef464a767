<!doctype html>
<html lang="{{ $words->language }}">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ $facts->number }} {{ $facts->revision }}: {{ $words->phase($facts->phase) }}</title>
<style>
body { font: 18px/1.4 system-ui, sans-serif; margin: 0; color: #1a1f1c; background: #fffffa }
header { padding: 1.6rem 1.4rem; border-bottom: 6px double }
header.in_force { background: #d9efe4 } header.coming { background: #e7e2f2 } header.superseded, header.obsolete { background: #7d1d12; color: #fff }
h1 { font-size: 2.4rem; margin: 0; letter-spacing: .02em } h1 span { margin-right: .4rem } p { margin: .4rem 0 } main { padding: 1.2rem 1.4rem; max-width: 40rem }
.to { font-size: 1.3rem; font-weight: 600 } b { font-size: 1.3rem } a { color: #0a5c4a } small { color: #55605a }
</style>
<header class="{{ $facts->phase->value }}">
    <h1><span aria-hidden="true">{{ ['in_force' => '■', 'coming' => '▷'][$facts->phase->value] ?? '✕' }}</span>{{ $words->phase($facts->phase) }}</h1>
    @if ($facts->next !== '')
        <p class="to">{{ $words->say($facts->nextFrom === null ? 'replaced_by' : ($facts->phase->isPast() ? 'replaced' : 'until'), ['next' => $facts->next, 'from' => $words->day($facts->nextFrom)]) }}</p>
    @endif
</header>
<main>
    <p><b>{{ $facts->number }}</b> {{ $facts->title }}</p>
    <p>{{ $words->say('revision') }} {{ $facts->revision }}, {{ $facts->to === null ? $words->say('valid_from', ['from' => $words->day($facts->from)]) : $words->say('valid', ['from' => $words->day($facts->from), 'to' => $words->day($facts->to)]) }}</p>
    @if ($sheet !== null)
        <p><a href="{{ $sheet }}">{{ $facts->number }} {{ $facts->revision }} (PDF)</a></p>
    @endif
    <p><small>{{ $words->say('as_of', ['day' => $words->day($facts->day)]) }}</small></p>
</main>
</html>
