{!! $greeted !!},

@foreach ($sections as $head => $told)
{!! $head !!}
@foreach ($told as $one)

{!! ltrim($one->notice->change . ' ' . $one->notice->title) !!}
{!! $one->notice->act->label() !!}@if ($one->notice->about !== ''): {!! $one->notice->about !!}@endif

{!! $names[$one->notice->actor] ?? ucfirst($one->notice->actor) !!}, {!! $one->notice->happened_at->format('j M Y, H:i') !!}
{!! url($one->notice->path) !!}
@endforeach

@endforeach
When mails are sent is set at {!! url('/notices') !!}
