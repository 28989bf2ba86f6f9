<x-model-drawing :drawing="$drawing" />
