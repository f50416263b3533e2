<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Model;

/**
 * The meaning of a word that a network made up.
 *
 * @property int $id
 * @property string $kind
 * @property string $theirs
 * @property string $ours
 */
final class NetworkTerm extends Model
{
    use BelongsToGarage;
    use BootsByName;

    protected $table = 'network_terms';

    protected $guarded = [];
}
