<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="harmozon-demo" content="{{ config('harmozon.demo') ? 'yes' : 'no' }}">
    {{-- A page that a device keeps is everybody's: whoever opens it is asked for, not told. --}}
    <meta name="harmozon-visitor" content="{{ ! auth()->guest() || request()->is('shell') ? 'no' : (request()->hasSession() && App\People\RevokedSessions::has(session()->getId()) ? 'ended' : 'yes') }}">
    @if (auth()->guest() && ! request()->is('shell'))
    <meta name="harmozon-registration" content="{{ app(App\People\Registration::class)->mode() }}">
    @endif
    <meta name="harmozon-visitors" content="{{ config('harmozon.visitors') ? 'yes' : 'no' }}">
    <meta name="harmozon-address" content="{{ rtrim((string) config('app.url'), '/') }}">
    <meta name="harmozon-shortest-password" content="{{ App\People\PasswordRule::SHORTEST }}">
    <meta name="harmozon-languages" content="{{ json_encode(Harmozon\Core\Words\Languages::NAMES, JSON_UNESCAPED_UNICODE) }}">
    <meta name="color-scheme" content="light dark">
    <title>Harmozon</title>
    <meta name="theme-color" content="#f6f3ec" media="(prefers-color-scheme: light)">
    <meta name="theme-color" content="#14191c" media="(prefers-color-scheme: dark)">
    <link rel="manifest" href="/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icons/harmozon-192.png">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>{{ app(Harmozon\Core\Words\Voice::class)->say(Harmozon\Core\Words\Message::of('app.needs_script')) }}</noscript>
</body>
</html>
