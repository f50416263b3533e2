<?php

declare(strict_types=1);

use App\Equipment\OutOfDate;
use App\Equipment\PieceStore;
use App\Http\Middleware\SecurityHeaders;
use App\Models\Piece;
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
        $exceptions->render(static function (OutOfDate $e, Request $request): JsonResponse {
            $isGone = $e->piece->trashed();
            $told = Message::of($isGone ? 'app.put_aside' : 'app.changed_meanwhile', name: $e->piece->name);

            return new JsonResponse([
                'message' => app(Voice::class)->say($told),
                'code' => $told->code,
                'now' => ['id' => $e->piece->ulid, 'version' => $e->piece->version, ...PieceStore::fieldsOf($e->piece), ...($e->piece instanceof Piece ? ['spec' => $e->piece->plate()] : [])],
                'sent' => $request->json()->all(),
            ], $isGone ? 410 : 409);
        });
        // The framework would name its own classes and repeat the id.
        $exceptions->render(static fn (NotFoundHttpException $e, Request $request): ?JsonResponse => $request->is('api/*') && $e->getPrevious() instanceof ModelNotFoundException
            ? new JsonResponse(['message' => app(Voice::class)->say(Message::of('app.no_such_record'))], 404)
            : null);
        $exceptions->dontReport([Refusal::class, OutOfDate::class]);
    })
    ->create();
