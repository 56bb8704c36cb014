import { ApiError } from './client';

/** How an upload is followed, and given up. */
type Following = { progress: (share: number) => void; stop: AbortSignal };

/** Sends a file as it is and reads the JSON that comes back; how far it has got is told on the way. */
export function upload<T>(path: string, file: Blob, { progress, stop }: Following): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.setRequestHeader('Content-Type', 'text/csv');
    request.responseType = 'json';
    request.upload.onprogress = (e) => e.lengthComputable && progress(e.loaded / e.total);
    request.onload = () => {
      const problem = (request.response ?? {}) as { detail?: string; path?: string };
      if (request.status === 200) resolve(request.response as T);
      else
        reject(
          new ApiError(
            (problem.path ? `${problem.path}: ` : '') + (problem.detail ?? 'The server refused this.'),
            request.status,
            problem.path,
          ),
        );
    };
    request.onerror = () => reject(new ApiError('The server does not answer.', 0));
    request.onabort = () => reject(new DOMException('Stopped', 'AbortError'));
    stop.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}
