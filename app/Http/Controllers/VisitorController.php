<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\NewCarDraft;
use Harmozon\Core\Answers\TermsWriter;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** For somebody without an account: the questions about a car, and its answers. Nothing is stored. */
final class VisitorController extends Controller
{
    public function terms(TermsWriter $writer): JsonResponse
    {
        return response()->json($writer->terms());
    }

    public function classes(NewCarDraft $draft): JsonResponse
    {
        return response()->json($draft->classes());
    }

    /** The chosen region; else the one of the browser's time zone. */
    public function draft(Request $request, NewCarDraft $draft): JsonResponse
    {
        $answers = Node::of(array_filter($request->json()->all(), is_string(...), ARRAY_FILTER_USE_KEY));
        $region = $answers->choice('region', Region::class) ?? Region::guess($answers->textOrNull('timezone'), $answers->textOrNull('locale'));

        return response()->json($draft->told($answers, [], new Conditions, $region, Carbon::now()->toDateString()));
    }
}
