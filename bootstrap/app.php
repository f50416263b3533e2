<?php

declare(strict_types=1);

use App\Console\Kernel;
use App\Database\SetupProblem;
use App\Equipment\PieceStore;
use App\Equipment\StalePiece;
use App\Http\FrameworkRefusals;
use App\Http\Middleware\BodyLimit;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\MatchesShownGarage;
use App\Http\Middleware\ReadableJson;
use App\Http\Middleware\RequestId;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SpeakLanguage;
use App\Http\Middleware\StartSession;
use App\Http\Middleware\StripControlCharacters;
use App\Models\Piece;
use App\People\RevokedSessions;
use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Contracts\Console\Kernel as ConsoleKernel;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Session\Middleware\StartSession as FrameworksStartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

// What is written here is somebody's own: database, photographs, logs, backups.
umask(0077);

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        // The API is the page's own: it uses the page's session and its CSRF token.
        using: static function (): void {
            // Monitors have no session either, and are answered while the database is not.
            Route::group([], __DIR__.'/../routes/health.php');
            // A logger has a token of its own, and no session of a browser.
            Route::prefix('api/logger')->group(__DIR__.'/../routes/logger.php');
            Route::middleware('web')->prefix('api')->group(__DIR__.'/../routes/api.php');
            Route::middleware('web')->group(__DIR__.'/../routes/web.php');
        },
    )
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(static function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        // The last that is put before stands first.
        $middleware->prepend(ReadableJson::class);
        $middleware->prepend(BodyLimit::class);
        $middleware->prepend(SecurityHeaders::class);
        $middleware->prepend(SpeakLanguage::class);
        $middleware->prepend(RequestId::class);
        $middleware->web(replace: [FrameworksStartSession::class => StartSession::class]);
        // Before signing in there is no session, and so no token of it: those look at the origin instead.
        $middleware->validateCsrfTokens(except: ['api/sign-in', 'api/demo-sign-in', 'api/accounts', 'api/invitations/*/account', 'api/password/*', 'api/visitors/*']);
        $middleware->append([KnownHost::class, StripControlCharacters::class]);
        $middleware->appendToPriorityList(after: AuthenticatesRequests::class, append: MatchesShownGarage::class);
        // A blank belongs to a password like any other character.
        $middleware->trimStrings(except: ['new_password']);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        $exceptions->render(static function (Refusal $e): JsonResponse {
            $voice = app(Voice::class);

            return new JsonResponse([
                'message' => $voice->say($e->complaint()),
                'errors' => [match (true) {
                    $e instanceof FieldError => $e->path,
                    $e instanceof WrongState => $e->thing,
                    $e instanceof CannotActOut => $e->path,
                    default => '',
                } => [$voice->say($e->problem)]],
                'code' => $e->problem->code,
            ], 422);
        });
        $exceptions->render(static function (StalePiece $e, Request $request): JsonResponse {
            $isGone = $e->piece->trashed();
            $told = Message::of($isGone ? 'app.put_aside' : 'app.changed_meanwhile', name: $e->piece->name);

            return new JsonResponse([
                'message' => app(Voice::class)->say($told),
                'code' => $told->code,
                'now' => ['id' => $e->piece->ulid, 'version' => $e->piece->version, ...PieceStore::fieldsOf($e->piece), ...($e->piece instanceof Piece ? ['spec' => $e->piece->plate()] : [])],
                'sent' => $request->json()->all(),
            ], $isGone ? 410 : 409);
        });
        $exceptions->render(static function (AuthenticationException $e, Request $request): ?JsonResponse {
            if (! $request->is('api/*')) {
                return null;
            }
            $told = Message::of($request->hasSession() && RevokedSessions::has($request->session()->getId()) ? 'app.signed_out_elsewhere' : 'app.not_signed_in');

            return new JsonResponse(['message' => app(Voice::class)->say($told), 'code' => $told->code], 401);
        });
        // Two who write the same at once: a check came before the other's writing.
        $exceptions->render(static fn (UniqueConstraintViolationException $e): JsonResponse => new JsonResponse(['message' => app(Voice::class)->say(Message::of('app.taken'))], 409));
        // The framework would name its own classes and repeat the id, and has words of its own.
        $exceptions->render(static function (Throwable $e, Request $request): ?Response {
            $told = $e instanceof HttpExceptionInterface ? FrameworkRefusals::of($e) : null;
            if ($told === null || ! $e instanceof HttpExceptionInterface) {
                return null;
            }
            $words = app(Voice::class)->say($told);

            return $request->is('api/*') || $request->expectsJson()
                ? new JsonResponse(['message' => $words, 'code' => $told->code], $e->getStatusCode(), $e->getHeaders())
                : new HttpResponse($words."\n", $e->getStatusCode(), ['Content-Type' => 'text/plain; charset=utf-8', ...$e->getHeaders()]);
        });
        $exceptions->dontReport([Refusal::class, StalePiece::class, UniqueConstraintViolationException::class]);
        $exceptions->render(static function (Throwable $e, Request $request): ?Response {
            $trouble = $e instanceof HttpExceptionInterface || $e instanceof ValidationException ? null : SetupProblem::of($e);
            if ($trouble === null) {
                return null;
            }
            $headers = ['Cache-Control' => 'no-store', ...($trouble->retryAfterS === null ? [] : ['Retry-After' => (string) $trouble->retryAfterS])];
            $words = (new Voice(app(Language::class)))->say($trouble->cause);

            return $request->is('api/*')
                ? new JsonResponse(['message' => $words, 'code' => $trouble->cause->code], 503, $headers)
                : new HttpResponse($words."\n", 503, ['Content-Type' => 'text/plain; charset=utf-8', ...$headers]);
        });
        // An answer to a fault is made outside the row of those that every answer passes.
        $exceptions->respond(static function (Response $response, Throwable $e, Request $request): Response {
            $id = $request->attributes->get(RequestId::HEADER);
            if (is_string($id)) {
                $response->headers->set(RequestId::HEADER, $id);
            }

            return $response;
        });
        // Where nothing can be written there is no log either.
        $exceptions->report(static fn (Throwable $e): ?bool => SetupProblem::isStorageThere() ? null : false);
    })
    ->create();

$app->singleton(ConsoleKernel::class, Kernel::class);

return $app;
