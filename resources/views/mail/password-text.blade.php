{!! $name !!},

@if ($isNew)
you have an account at Orthotaxis. Your sign-in name is {!! $login !!}. Choose your password here:
@else
somebody, you most likely, asked for a new password for {!! $login !!}. Choose it here:
@endif

{!! $address !!}

The address can be used once, within {{ $hours }} hours.@if (!$isNew) If you did not ask for it, do nothing: your password stays as it is.@endif

