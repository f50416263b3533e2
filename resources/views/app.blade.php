<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="harmozon-demo" content="{{ config('harmozon.demo') ? 'yes' : 'no' }}">
    <meta name="harmozon-visitor" content="{{ auth()->guest() ? 'yes' : 'no' }}">
    @guest
    <meta name="harmozon-door" content="{{ app(App\People\Founding::class)->door() }}">
    @endguest
    <meta name="harmozon-shortest-password" content="{{ App\People\PasswordRule::SHORTEST }}">
    <meta name="color-scheme" content="light dark">
    <title>Harmozon</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>Harmozon needs JavaScript to draw its pages.</noscript>
</body>
</html>
