<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="build" content="{{ \App\Http\TellBuild::build() }}">
    @if (\App\SignIn\OpenId\OpenIdProvider::isSet())
    <meta name="sign-in-with" content="{{ config('security.oidc.name') }}">
    @endif
    <title>Orthotaxis</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/main.tsx'])
</head>
<body>
    <div id="application"></div>
</body>
</html>
