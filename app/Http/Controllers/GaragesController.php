<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Garage\CurrentGarage;
use App\Models\Garage;
use App\Models\Membership;
use App\People\GarageFields;
use App\People\Registration;
use App\People\SignedInUser;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A person's garages: creating, switching and deleting. */
final class GaragesController extends Controller
{
    public function __construct(private readonly SignedInUser $signedInUser, private readonly Voice $voice)
    {
    }

    public function store(Request $request, Registration $registration): JsonResponse
    {
        /** @var array{name: string, currency: string, units: string, locale: string} $garage */
        $garage = $request->validate(GarageFields::rules());
        $registration->garage(SignedInUser::signedIn(), $garage);

        return response()->json($this->signedInUser->told(SignedInUser::signedIn()), 201);
    }

    /** Opens that garage from now on. */
    public function stand(string $garage): JsonResponse
    {
        $person = SignedInUser::signedIn();
        $membership = Membership::query()->where('user_id', $person->id)->whereRelation('garage', 'ulid', $garage)->first();
        if ($membership === null) {
            abort(404, $this->voice->say(Message::of('app.no_such_record')));
        }
        $person->update(['garage_id' => $membership->garage_id]);
        $person->unsetRelations();

        return response()->json($this->signedInUser->told($person));
    }

    public function update(Request $request, CurrentGarage $current): JsonResponse
    {
        $rules = GarageFields::rules();
        $typed = $request->validate(['name' => ['required_without:currency', ...array_diff($rules['name'], ['required'])], 'currency' => array_diff($rules['currency'], ['required'])]);
        Garage::query()->whereKey($current->id())->update($typed);
        SignedInUser::signedIn()->unsetRelations();

        return response()->json($this->signedInUser->told(SignedInUser::signedIn()));
    }

    /** Deletes it with everything in it, for everybody; its name has to be typed to confirm. */
    public function destroy(Request $request): JsonResponse
    {
        $garage = SignedInUser::signedIn()->garage;
        if ($garage === null || $request->input('name') !== $garage->name) {
            throw ValidationException::withMessages(['name' => $this->voice->say(Message::of('app.name_to_end'))]);
        }
        DB::transaction(static function () use ($garage): void {
            foreach (Membership::query()->with('user')->where('garage_id', $garage->id)->get() as $membership) {
                $membership->leave();
            }
            $garage->delete();
        });
        $person = SignedInUser::signedIn()->refresh();
        $person->unsetRelations();

        return response()->json($this->signedInUser->told($person));
    }
}
