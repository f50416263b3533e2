<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\HttpFoundation\Response;

/** An unreadable JSON body is refused by name (400): the framework would take it for an empty one. */
final readonly class ReadableJson
{
    /** The first bytes of UTF-8 with a byte order mark, of UTF-16, and of a gzip file. */
    private const MARKS = ["\xef\xbb\xbf", "\xff\xfe", "\xfe\xff"];

    private const GZIP = "\x1f\x8b";

    public function __construct(private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $body = $request->isJson() ? $request->getContent() : '';
        if (trim($body) !== '') {
            $read = json_decode($body, true, Node::DEEPEST_JSON);
            if (! is_array($read)) {
                $told = self::told($body, $request->headers->has('Content-Encoding'));

                return new JsonResponse(['message' => $this->voice->say($told), 'code' => $told->code], 400);
            }
            $endless = self::endless($read);
            if ($endless !== null) {
                throw FieldError::at($endless, Message::of('field.endless'));
            }
            $request->setJson(new InputBag($read));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /**
     * PHP reads 1e400 as infinity, which can't be written as JSON.
     *
     * @param  array<array-key, mixed>  $read
     * @return string|null the path of the first of these
     */
    private static function endless(array $read): ?string
    {
        foreach ($read as $key => $value) {
            $below = is_array($value) ? self::endless($value) : null;
            if ($below !== null || (is_float($value) && is_infinite($value))) {
                return $below === null ? (string) $key : "{$key}.{$below}";
            }
        }

        return null;
    }

    private static function told(string $body, bool $isEncoded): Message
    {
        $error = json_last_error();
        foreach (self::MARKS as $mark) {
            if (str_starts_with($body, $mark)) {
                return Message::of('app.body_marked');
            }
        }

        return match (true) {
            $isEncoded, str_starts_with($body, self::GZIP) => Message::of('app.body_compressed'),
            $error === JSON_ERROR_DEPTH => Message::of('app.body_deep', most: Amount::count(Node::DEEPEST_JSON)),
            $error === JSON_ERROR_NONE => Message::of('app.body_no_object'),
            $error === JSON_ERROR_UTF8 => Message::of('app.body_not_utf8'),
            default => Message::of('app.body_malformed'),
        };
    }
}
