<?php

declare(strict_types=1);

use App\Http\Middleware\SecurityHeaders;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        // The API is the page's own: it uses the page's session and its CSRF token.
        using: static function (): void {
            Route::middleware('web')->prefix('api')->group(__DIR__.'/../routes/api.php');
            Route::middleware('web')->group(__DIR__.'/../routes/web.php');
        },
    )
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(static function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        $exceptions->render(static function (Refusal $e): JsonResponse {
            $voice = app(Voice::class);

            return new JsonResponse([
                'message' => $voice->say($e->complaint()),
                'errors' => [$e instanceof FieldError ? $e->path : '' => [$voice->say($e->problem)]],
                'code' => $e->problem->code,
            ], 422);
        });
        // The framework would name its own classes and repeat the id.
        $exceptions->render(static fn (NotFoundHttpException $e, Request $request): ?JsonResponse => $request->is('api/*') && $e->getPrevious() instanceof ModelNotFoundException
            ? new JsonResponse(['message' => app(Voice::class)->say(Message::of('app.no_such_record'))], 404)
            : null);
        $exceptions->dontReport(Refusal::class);
    })
    ->create();
