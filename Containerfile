# Handy Frame as a container: podman build -t handy-frame . && podman run -p 4860:4860 -v handy-frame:/data handy-frame
FROM node:20-bookworm-slim
WORKDIR /app
COPY package.json package-lock.json ./
RUN npm ci --omit=dev --no-audit --no-fund
COPY . .
# the page and the server are built here: nothing of the image is written while it runs
RUN node scripts/build-page.mjs && node bin/handy-frame --help > /dev/null && mkdir /data && chown node:node /data
USER node
VOLUME /data
EXPOSE 4860
ENTRYPOINT ["node", "bin/handy-frame", "start", "--host", "0.0.0.0", "--data", "/data"]
