<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\App;

/** What a device needs to know to install the page as an application (W3C Web Application Manifest). */
final class ManifestController extends Controller
{
    public function __invoke(Voice $voice): JsonResponse
    {
        return response()->json([
            'id' => '/',
            'name' => 'Harmozon',
            'short_name' => 'Harmozon',
            'description' => $voice->say(Message::of('app.description')),
            'lang' => App::getLocale(),
            'dir' => 'ltr',
            'start_url' => '/board',
            'scope' => '/',
            'display' => 'standalone',
            'background_color' => '#f6f3ec',
            'theme_color' => '#f6f3ec',
            'icons' => [
                ['src' => '/icon.svg', 'sizes' => 'any', 'type' => 'image/svg+xml'],
                ['src' => '/icons/harmozon-192.png', 'sizes' => '192x192', 'type' => 'image/png', 'purpose' => 'any'],
                ['src' => '/icons/harmozon-512.png', 'sizes' => '512x512', 'type' => 'image/png', 'purpose' => 'any'],
                ['src' => '/icons/harmozon-512.png', 'sizes' => '512x512', 'type' => 'image/png', 'purpose' => 'maskable'],
            ],
        ], 200, ['Content-Type' => 'application/manifest+json', 'Cache-Control' => 'no-cache', 'Vary' => 'Accept-Language, Cookie'], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
