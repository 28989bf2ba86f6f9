Somebody has asked for a new password for your account at Hidden Wire, {{ $host }}.

Choose it here, within {{ $minutes }} minutes:
{!! $url !!}

If that was not you, there is nothing to do: your password stays as it is.
