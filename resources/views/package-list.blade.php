<!doctype html>
<html lang="{{ $words->language }}">
<meta charset="utf-8">
<title>{{ $order }}: {{ $title }}</title>
<style>
body { font: 14px/1.45 "DejaVu Sans", system-ui, sans-serif; margin: 2rem; color: #1a1f1c }
table { border-collapse: collapse; font-variant-numeric: tabular-nums } th, td { text-align: left; vertical-align: baseline; padding: .2rem .8rem .2rem 0; border-bottom: 1px solid #c9cdc6 } th { border-bottom: 2px solid #1a1f1c }
h1 { margin: 0 } del { color: #7d1d12 } ins { text-decoration: none; font-weight: 600 }
</style>
<h1>{{ $title }}</h1>
<p>{{ $order }}, {{ $about }}</p>
@if ($rows === [])
    <p>{{ $words->say('package.nothing') }}</p>
@else
    <table>
        <thead><tr>@foreach ($heads as $head)<th scope="col">{{ $head }}</th>@endforeach</tr></thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>@foreach ($row as $at => $cell)<td>@if ($at === 9 && $cell !== '')<del>{{ $cell }}</del>@elseif ($at === 10 && $cell !== '')<ins>{{ $cell }}</ins>@else{{ $cell }}@endif</td>@endforeach</tr>
            @endforeach
        </tbody>
    </table>
@endif
</html>
