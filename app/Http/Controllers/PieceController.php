<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Equipment\PlaceCopy;
use App\Models\Piece;
use App\Models\Place;
use Harmozon\Core\Case\PlateWriter;
use Harmozon\Core\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class PieceController extends Controller
{
    private const MOST_AT_ONCE = 500;

    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /** Whether a plate could be saved, while it is still being typed, and what standards say about it. */
    public function check(Request $request, PieceKind $kind, PlateWriter $plates): JsonResponse
    {
        $read = $this->pieces->check($kind, self::fields($request));

        return response()->json(['by_standard' => $read === null ? [] : $plates->byStandard($read)]);
    }

    public function store(Request $request, PieceKind $kind): JsonResponse
    {
        return response()->json(self::id($this->pieces->create($kind, self::fields($request))), 201);
    }

    public function update(Request $request, PieceKind $kind, string $piece): JsonResponse
    {
        return response()->json(self::id($this->pieces->change($kind, $piece, self::fields($request))));
    }

    public function copyPlace(Request $request, string $place, PlaceCopy $copies): JsonResponse
    {
        return response()->json(self::id($copies->of($place, self::fields($request)['name'] ?? null)), 201);
    }

    /** Several of one kind at once: all of them, or none. */
    public function updateSeveral(Request $request, PieceKind $kind): JsonResponse
    {
        return response()->json(['pieces' => array_map(self::id(...), $this->pieces->changeSeveral($kind, Node::of(self::fields($request))->objects('pieces', self::MOST_AT_ONCE)))]);
    }

    public function destroy(PieceKind $kind, string $piece): Response
    {
        $this->pieces->remove($kind, $piece);

        return response()->noContent();
    }

    public function restore(PieceKind $kind, string $piece): JsonResponse
    {
        return response()->json(self::id($this->pieces->restore($kind, $piece)));
    }

    /** @return array<string, mixed> */
    private static function fields(Request $request): array
    {
        return array_filter($request->json()->all(), is_string(...), ARRAY_FILTER_USE_KEY);
    }

    /** @return array{id: string, version: int} */
    private static function id(Piece|Place $piece): array
    {
        return ['id' => $piece->ulid, 'version' => $piece->version];
    }
}
