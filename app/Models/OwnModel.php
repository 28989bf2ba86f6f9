<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Document\Fields;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Document\ModelReader;
use HiddenWire\Core\Equipment\EquipmentModel;
use Illuminate\Database\Eloquent\Model;

/**
 * An equipment model that a person made: as a document holds it.
 *
 * @property int $id
 * @property int $user_id
 * @property string $key
 * @property string $document
 */
final class OwnModel extends Model
{
    protected $table = 'own_models';

    protected $fillable = ['key', 'document'];

    /** The model, which was sound when it was kept. */
    public function model(): ?EquipmentModel
    {
        return (new ModelReader)->read($this->key, new Fields(Json::decode($this->document), '/'.$this->key, new \ArrayObject));
    }
}
