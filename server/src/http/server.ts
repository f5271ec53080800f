import { createServer as httpServer, type RequestListener, type Server } from "node:http";
import type { Socket } from "node:net";
import { problem } from "./problem";

/**
 * Longer than browsers and scripts keep an idle connection (common practice: five minutes at most), so that none is
 * closed under a request.
 */
const KEEP_ALIVE = 620_000;
/** How long a request's head, and a whole request, may take to come in. */
const HEAD = 60_000;
const WHOLE = 600_000;

/** Answers what is no HTTP that could be handled, or comes too slowly, and ends the connection. */
function refuse(error: NodeJS.ErrnoException, socket: Socket): void {
  if (error.code === "ECONNRESET" || !socket.writable) return void socket.destroy();
  const [status, words, detail] =
    error.code === "HPE_HEADER_OVERFLOW"
      ? [431, "Request Header Fields Too Large", "The head of the request is too long."]
      : error.code === "ERR_HTTP_REQUEST_TIMEOUT"
        ? [408, "Request Timeout", "The request took too long to come in."]
        : ([400, "Bad Request", "The request could not be read."] as const);
  const body = problem(status, detail);
  socket.end(
    `HTTP/1.1 ${status} ${words}\r\nContent-Type: application/problem+json\r\nContent-Length: ` +
      `${Buffer.byteLength(body)}\r\nConnection: close\r\n\r\n${body}`,
  );
}

/** A server whose connections outlive those of its clients, and that answers even what is not HTTP in words. */
export function createServer(app: RequestListener): Server {
  const server = httpServer({ keepAliveTimeout: KEEP_ALIVE, headersTimeout: HEAD, requestTimeout: WHOLE }, app);
  server.on("clientError", (error: NodeJS.ErrnoException, socket: Socket) => refuse(error, socket));
  return server;
}
