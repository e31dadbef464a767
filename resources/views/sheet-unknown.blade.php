<!doctype html>
<html lang="{{ $words->language }}">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ $words->say('unknown') }}</title>
<style>body { font: 18px/1.4 system-ui, sans-serif; margin: 2rem 1.4rem; max-width: 40rem; color: #1a1f1c; background: #fffffa } h1 { font-size: 1.8rem }</style>
<h1><span aria-hidden="true">✕</span> {{ $words->say($withdrawn ? 'address_withdrawn' : 'unknown') }}</h1>
<p>{{ $words->say('do_not_go_by') }}</p>
</html>
