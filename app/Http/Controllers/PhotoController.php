<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceKind;
use App\Http\Requests\PhotoRequest;
use App\Http\Requests\SessionPhotoRequest;
use App\Models\ChargeSession;
use App\Models\Photo;
use App\Photos\Picture;
use App\Photos\PiecePhotos;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class PhotoController extends Controller
{
    public function __construct(private readonly PiecePhotos $photos)
    {
    }

    public function index(PieceKind $kind, string $piece): JsonResponse
    {
        return response()->json(['photos' => $this->photos->of($kind, $piece)->map(static fn (Photo $p): array => PiecePhotos::told($p))]);
    }

    public function store(PhotoRequest $request, PieceKind $kind, string $piece): JsonResponse
    {
        $photo = $this->photos->keep($kind, $piece, $request->id(), (string) $request->upload()->get());

        return response()->json(PiecePhotos::told($photo), $photo->wasRecentlyCreated ? 201 : 200);
    }

    public function ofSession(ChargeSession $session): JsonResponse
    {
        return response()->json(['photos' => $this->photos->ofSession($session)->map(static fn (Photo $p): array => PiecePhotos::told($p))]);
    }

    public function storeOfSession(SessionPhotoRequest $request, ChargeSession $session): JsonResponse
    {
        $photo = $this->photos->keepOfSession($session, $request->id(), $request->tMs(), (string) $request->upload()->get());

        return response()->json(PiecePhotos::told($photo), $photo->wasRecentlyCreated ? 201 : 200);
    }

    /** The picture itself, only for members of its garage. */
    public function show(Request $request, string $photo): Response
    {
        $picture = $this->photos->find($photo);
        $response = response('', 200, ['Content-Type' => Picture::MIME, 'X-Content-Type-Options' => 'nosniff', 'Content-Disposition' => 'inline']);
        // A picture never changes: a browser that has it is told that it may still show it.
        $response->setEtag($picture->ulid);
        if (! $response->isNotModified($request)) {
            $response->setContent($picture->picture());
        }

        return $response;
    }

    public function destroy(string $photo): Response
    {
        $this->photos->remove($photo);

        return response()->noContent();
    }

    public function restore(string $photo): JsonResponse
    {
        return response()->json(PiecePhotos::told($this->photos->restore($photo)));
    }
}
