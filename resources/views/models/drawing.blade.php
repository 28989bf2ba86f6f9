<x-model-look :look="$look" />
