<!doctype html>
<html lang="en">
<body style="font-family: 'Helvetica Neue', Arial, sans-serif; font-size: 14px; color: #1a1f1d">
<p>{{ $greeted }},</p>
@foreach ($sections as $head => $told)
<h2 style="font-size: 15px; margin: 16px 0 4px; border-bottom: 1px solid #888">{{ $head }}</h2>
<ul style="margin: 0; padding: 0; list-style: none">
@foreach ($told as $one)
<li style="margin: 6px 0"><a href="{{ url($one->notice->path) }}">{{ $one->notice->called() }}</a>@if ($one->notice->change !== '') {{ $one->notice->title }}@endif<br>
{{ $one->notice->act->label() }}@if ($one->notice->about !== ''): {{ $one->notice->about }}@endif<br>
<span style="color: #555">{{ $names[$one->notice->actor] ?? ucfirst($one->notice->actor) }}, {{ $one->notice->happened_at->format('j M Y, H:i') }}</span></li>
@endforeach
</ul>
@endforeach
<p style="color: #555">When mails are sent is set at <a href="{{ url('/notices') }}">{{ url('/notices') }}</a>.</p>
</body>
</html>
