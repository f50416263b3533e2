<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceReader;
use App\Equipment\PieceStore;
use App\Http\Requests\KitRequest;
use App\Kit\KitQuestions;
use App\Kit\WishPurchase;
use App\Models\Adapter;
use App\Models\Wish;
use Harmozon\Core\Answers\KitWriter;
use Harmozon\Core\Answers\VettingWriter;
use Harmozon\Core\Case\VettingReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\FirstTest;
use Harmozon\Core\Kit\SmallestKit;
use Harmozon\Core\Kit\Vetting;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What to buy, an adapter looked at before it is bought, and its first test. */
final class KitController extends Controller
{
    public function __construct(private readonly KitQuestions $questions)
    {
    }

    public function smallest(KitRequest $request, KitWriter $writer, Catalogue $catalogue): JsonResponse
    {
        $question = $this->questions->of($request->tour(), $request->policy(), $request->together());

        return response()->json($writer->answer(SmallestKit::of($question), $question, $catalogue));
    }

    public function questions(VettingWriter $writer): JsonResponse
    {
        return response()->json(['questions' => $writer->questions()]);
    }

    /** Nothing is stored: a wish is kept as a piece of its own. */
    public function vet(Request $request, VettingWriter $writer, VettingReader $reader, Voice $voice): JsonResponse
    {
        $seen = Node::of($request->json()->all());
        $spec = $seen->object('spec');
        $adapter = $reader->adapter($spec, $seen->textOrNull('name', PieceStore::LONGEST_NAME) ?? $voice->say(Message::of('app.vet_unnamed')));

        return response()->json($writer->answer(Vetting::of($adapter, VettingReader::answersOf($spec), $this->questions->of(null, AdapterPolicy::Certified))));
    }

    /** The wish becomes an owned adapter. */
    public function buy(Request $request, WishPurchase $purchase, string $wish): JsonResponse
    {
        $found = Wish::query()->where('ulid', $wish)->firstOrFail();
        $tag = $request->validate(['tag' => ['required', 'string']])['tag'];
        $adapter = $purchase->buy($found, is_string($tag) ? $tag : '');

        return response()->json(['id' => $adapter->ulid], 201);
    }

    public function firstTest(string $adapter, PieceReader $pieces, KitWriter $writer): JsonResponse
    {
        $found = Adapter::query()->where('ulid', $adapter)->firstOrFail();

        return response()->json($writer->firstTest(FirstTest::of($pieces->adapter($found), $this->questions->of(null, AdapterPolicy::Any))));
    }
}
